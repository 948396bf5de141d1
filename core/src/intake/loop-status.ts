import type { Finding } from '../finding';
import type { Loop } from '../survey/intake';

/** Whether the service is known to be this supply's own. */
export type LoopVerdict = 'own' | 'looped' | 'not-known';

/** The verdict. `not-looped` on outward signs alone is not knowledge. */
export function loopVerdict(loop: Loop): LoopVerdict {
  if (loop.status === 'feeds-next-door' || loop.status === 'fed-from-next-door') return 'looped';
  if (loop.status === 'not-looped') return loop.evidence === 'signs-only' ? 'not-known' : 'own';
  return 'not-known';
}

/** What the loop status asks for. */
export function loopFindings(loop: Loop): Finding[] {
  const verdict = loopVerdict(loop);
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
        remedy: 'The operator un-loops it, usually free to the customer; allow two to six months.',
        askOf: 'operator',
      },
    ];
  if (verdict === 'not-known')
    return [
      {
        id: 'loop-not-known',
        grade: 'ask',
        station: 'loop',
        title: 'It is not known whether the service is looped.',
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
