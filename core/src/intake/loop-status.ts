import type { Statement } from '../finding';
import type { Rules } from '../rules/rules';
import type { Loop } from '../survey/intake';
import type { LoopSign } from '../survey/words/words';

/** Whether the service is known to be this supply's own. */
export type LoopVerdict = 'own' | 'looped' | 'not-known';

/** The signs as people say them. */
export const LOOP_SIGN_NAMES: Readonly<Record<LoopSign, string>> = {
  'two-service-cables': 'Two service cables at the cut-out',
  'cable-through-party-wall': 'A cable leaving through the party wall',
  'pair-or-terrace-of-one-age': 'A pair or terrace of one age',
  'neighbour-has-the-same': 'The neighbour’s intake is the same',
  'operator-record-says-so': 'The operator’s record says so',
};

/** What was recorded that does not go with a service of its own, in words: signs seen, and a neighbour who shares it. */
export function againstOwnService(loop: Loop): string[] {
  const signs = (loop.signs ?? [])
    .filter(({ answer }) => answer === 'not-fine')
    .map(({ id }) => LOOP_SIGN_NAMES[id].toLowerCase());
  const shared =
    loop.neighbours !== undefined || loop.neighbourDemandA !== undefined || loop.sharedRatingA !== undefined;
  return shared ? [...signs, 'a neighbour on the same service'] : signs;
}

/** The verdict. `not-looped` without its evidence, on outward signs alone, or against a sign that was seen, is not knowledge. */
export function loopVerdict(loop: Loop): LoopVerdict {
  if (loop.status === 'feeds-next-door' || loop.status === 'fed-from-next-door') return 'looped';
  if (loop.status !== 'not-looped') return 'not-known';
  const shown = loop.evidence === 'cable-traced' || loop.evidence === 'operator-record';
  return shown && againstOwnService(loop).length === 0 ? 'own' : 'not-known';
}

/** What the loop status asks to be done. */
export function loopFindings(loop: Loop, rules: Rules): Statement[] {
  const [least, most] = rules.unloopMonths.value;
  const against = againstOwnService(loop);
  if (loop.status === 'not-looped' && against.length > 0)
    return [
      {
        id: 'loop-signs-against',
        grade: 'act',
        on: 'loop',
        station: 'loop',
        title: `Recorded as not looped, but also recorded: ${against.join('; ')}.`,
        remedy: 'Trace the cable again, or ask for the operator’s record.',
        askOf: 'surveyor',
        field: 'intake.loop.status',
      },
    ];
  if (loopVerdict(loop) !== 'looped') return [];
  return [
    {
      id: 'service-looped',
      grade: 'act',
      on: 'loop',
      station: 'loop',
      title:
        loop.status === 'feeds-next-door'
          ? 'The service feeds next door as well.'
          : 'The service comes through next door.',
      remedy: `The operator un-loops it, usually free to the customer; allow ${least} to ${most} months.`,
      askOf: 'operator',
      source: rules.unloopMonths.source,
    },
  ];
}
