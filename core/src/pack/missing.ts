import type { Assessment } from '../assessment';
import type { AskOf, Finding, Station } from '../finding';
import { STATIONS } from '../finding';
import { settlingPath } from '../settling-path';
import { SAFETY } from '../grounds/verdict-ids';

/** Something that stands between a survey and its signature, and where it is settled. */
export interface Missing {
  /** Names it within its survey. */
  readonly key: string;
  readonly id: string;
  readonly text: string;
  readonly station: Station;
  readonly askOf: AskOf;
  /** It touches safety: whoever signs all the same answers for it by itself, with a reason of its own. */
  readonly safety: boolean;
  /** Open, or found wrong and not put right. */
  readonly state: 'open' | 'wrong';
  /** For the firm's own work: the operator does not need it. */
  readonly ownUse: boolean;
  /** The path of the field that has it. */
  readonly field?: string;
}

/**
 * Everything that is open or wrong before a pack is signed, in the order of the walk: the one list that the pack, what is left to look at, the
 * badges and the gate are read off. What is wrong and the operator's to put right is what the pack asks for, and no reason to hold it back.
 */
export function missingItems({ findings }: Assessment): Missing[] {
  const wrong = (finding: Finding): boolean =>
    finding.grade === 'act' && SAFETY.includes(finding.on) && finding.askOf !== 'operator';
  return findings
    .filter((finding) => finding.grade === 'ask' || wrong(finding))
    .sort((a, b) => STATIONS.indexOf(a.station) - STATIONS.indexOf(b.station))
    .map((finding) => {
      const { id, subjectId, title, station, askOf = 'surveyor', grade, on = 'form', ownUse = false } = finding;
      const field = settlingPath(finding);
      return {
        key: subjectId === undefined ? id : `${id} ${subjectId}`,
        id,
        text: title,
        station,
        askOf,
        safety: SAFETY.includes(on),
        state: grade === 'ask' ? 'open' : 'wrong',
        ownUse,
        ...(field === undefined ? {} : { field }),
      };
    });
}
