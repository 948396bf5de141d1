import type { Statement } from '../finding';
import type { Rules } from '../rules/rules';
import type { ConditionFault, Intake } from '../survey/intake';
import { FAULTS, type Fault } from '../survey/words/words';

/** Faults as people say them. */
export const FAULT_NAMES: Readonly<Record<Fault, string>> = {
  'broken-moulding': 'Cracked or broken moulding',
  'heat-damage': 'Scorching, discolouration or smell of heat',
  'leaking-compound': 'Compound leaking',
  'exposed-live-parts': 'Live parts exposed',
  'seal-missing-or-broken': 'Seal missing or broken',
  'damp-or-corrosion': 'Damp or corrosion',
  'fused-neutral-or-metal-clad': 'Old metal-clad or double-pole (fused neutral) head',
  'suspected-asbestos': 'Suspected asbestos flash guard or board',
  'cable-sheath-damaged': 'Cable sheath damaged',
  'loose-or-unsupported': 'Loose or unsupported',
  'signs-of-interference': 'Signs of interference',
  other: 'Another fault',
};

/** Whether the intake lets the work go on. */
export type ConditionVerdict = 'make-safe' | 'put-right-first' | 'fit' | 'not-known';

/** Who goes on in spite of “make safe now”, and why; only where both are said. */
export function overrideOf(fault: ConditionFault): { readonly by: string; readonly reason: string } | null {
  const [by, reason] = [fault.overriddenBy?.trim(), fault.overrideReason?.trim()];
  return fault.grade === 'make-safe-now' && by && reason ? { by, reason } : null;
}

/**
 * The gravest thing seen. A fault nobody has graded is taken as one to put right first, and so is one somebody
 * overrode: the danger is not gone because someone answers for going on.
 */
export function conditionVerdict(intake: Intake): ConditionVerdict {
  const { faults, look, looks = [] } = intake;
  if (faults.some((fault) => fault.grade === 'make-safe-now' && !overrideOf(fault))) return 'make-safe';
  if (faults.some(({ grade }) => grade !== 'note')) return 'put-right-first';
  const seen = (id: Fault): boolean => faults.some(({ fault }) => fault === id);
  if (looks.some(({ id, answer }) => answer === 'could-not-see' || (answer === 'not-fine' && !seen(id))))
    return 'not-known';
  const everyLook = FAULTS.every(
    (fault) => fault === 'other' || looks.some(({ id, answer }) => id === fault && answer !== undefined),
  );
  if (look === 'fine' || (look === 'not-fine' && faults.length > 0)) return 'fit';
  return look === undefined && everyLook ? 'fit' : 'not-known';
}

/** One finding a fault. */
export function conditionFindings(intake: Intake, rules: Rules): Statement[] {
  return intake.faults.map((fault): Statement => {
    const name = FAULT_NAMES[fault.fault];
    const note = fault.note ? ` ${fault.note}` : '';
    const override = overrideOf(fault);
    if (fault.grade === 'make-safe-now')
      return {
        id: 'condition-make-safe',
        grade: 'danger',
        on: 'intake',
        station: 'cut-out',
        title: `${name}.${note}${override ? ` ${override.by} goes on in spite of it: ${override.reason}` : ''}`,
        remedy: `Stop, keep clear, and phone the operator’s emergency line: ${rules.emergencyNumber.value}.`,
        subjectId: fault.id,
        source: rules.emergencyNumber.source,
      };
    const about = { station: 'cut-out', subjectId: fault.id, title: `${name}.${note}`, on: 'intake' } as const;
    if (fault.grade === 'note') return { ...about, id: 'condition-note', grade: 'note', remedy: 'Keep a photograph.' };
    return {
      ...about,
      id: 'condition-put-right',
      grade: 'act',
      askOf: 'operator',
      remedy: 'The operator puts this right before any load is added.',
    };
  });
}

/** Why the condition of the intake is not known, as a sentence. */
export function conditionNotKnown({ look, looks = [] }: Intake): string {
  const unseen = looks
    .filter(({ answer }) => answer === 'could-not-see')
    .map(({ id }) => FAULT_NAMES[id].toLowerCase());
  if (unseen.length > 0) return `Could not be seen at the intake: ${unseen.join('; ')}.`;
  if (look === 'not-fine') return 'The intake is recorded as not fine, but no fault is recorded.';
  return 'Is the intake in good condition?';
}
