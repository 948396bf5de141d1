import type { Finding } from '../finding';
import type { RulePack } from '../rules/rule-pack';
import type { Loop } from '../survey/intake';
import type { LoopSign } from '../survey/words';

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

/** The verdict. `not-looped` on outward signs alone is not knowledge. */
export function loopVerdict(loop: Loop): LoopVerdict {
  if (loop.status === 'feeds-next-door' || loop.status === 'fed-from-next-door') return 'looped';
  if (loop.status === 'not-looped') return loop.evidence === 'signs-only' ? 'not-known' : 'own';
  return 'not-known';
}

/** What the loop status asks for. */
export function loopFindings(loop: Loop, pack: RulePack): Finding[] {
  const verdict = loopVerdict(loop);
  const [least, most] = pack.unloopMonths.value;
  const signs = (loop.signs ?? []).filter(({ answer }) => answer === 'not-fine').map(({ id }) => LOOP_SIGN_NAMES[id]);
  if (verdict === 'own' && signs.length > 0)
    return [
      {
        id: 'loop-signs-against',
        grade: 'act',
        station: 'loop',
        title: `Recorded as not looped, but seen: ${signs.join('; ').toLowerCase()}.`,
        remedy: 'Trace the cable again, or ask for the operator’s record.',
        askOf: 'surveyor',
        field: 'intake.loop.status',
      },
    ];
  if (verdict === 'looped')
    return [
      {
        id: 'service-looped',
        grade: 'act',
        station: 'loop',
        title:
          loop.status === 'feeds-next-door'
            ? 'The service feeds next door as well.'
            : 'The service comes through next door.',
        remedy: `The operator un-loops it, usually free to the customer; allow ${least} to ${most} months.`,
        askOf: 'operator',
        source: pack.unloopMonths.source,
      },
    ];
  if (verdict === 'not-known')
    return [
      {
        id: 'loop-not-known',
        grade: 'ask',
        station: 'loop',
        title: `It is not known whether the service is looped${signs.length > 0 ? `; seen: ${signs.join('; ').toLowerCase()}` : ''}.`,
        remedy: 'Count the service cables at the cut-out and trace them, or ask for the operator’s record.',
        askOf: loop.status === 'unknown' ? 'operator' : 'surveyor',
        field: 'intake.loop.status',
      },
    ];
  if (loop.evidence === undefined)
    return [
      {
        id: 'loop-evidence-missing',
        grade: 'ask',
        station: 'loop',
        title: 'Not looped, but nobody has said how that is known.',
        remedy: 'Say whether one cable was seen and traced, or the operator’s record says so.',
        askOf: 'surveyor',
        field: 'intake.loop.evidence',
      },
    ];
  return [];
}
