import { FAULT_NAMES } from '@keen-gauge/core/intake/condition';
import type { Survey } from '@keen-gauge/core/survey/survey';
import type { Audited } from './queries';

/** A judgement made in a survey, to be entered in the record. */
export interface Decision {
  readonly what: Audited;
  readonly details: Readonly<Record<string, unknown>>;
}

/** The judgements one save made: a hold overridden or the override lifted, a basis declared, an option chosen. */
export function decisionsIn(before: Survey, after: Survey): Decision[] {
  const held = new Map(before.intake.faults.map((fault) => [fault.id, fault]));
  const found: Decision[] = after.intake.faults.flatMap(({ id, fault, overriddenBy, overrideReason }): Decision[] => {
    const complete = (by?: string, reason?: string): boolean => Boolean(by) && Boolean(reason);
    const earlier = held.get(id);
    const [was, is] = [
      complete(earlier?.overriddenBy, earlier?.overrideReason),
      complete(overriddenBy, overrideReason),
    ];
    if (was === is) return [];
    const about = { fault: FAULT_NAMES[fault] };
    return is
      ? [{ what: 'hold-overridden', details: { ...about, by: overriddenBy, reason: overrideReason } }]
      : [{ what: 'override-lifted', details: about }];
  });
  if (after.declaration.basis !== undefined && after.declaration.basis !== before.declaration.basis)
    found.push({ what: 'basis-declared', details: { basis: after.declaration.basis } });
  if (
    after.choice?.option !== undefined &&
    (after.choice.option !== before.choice?.option || after.choice.also !== before.choice.also)
  )
    found.push({ what: 'option-chosen', details: { option: after.choice.option, by: after.choice.chosenBy } });
  return found;
}
