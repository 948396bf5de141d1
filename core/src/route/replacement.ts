/** New equipment that takes the place of something the operator may know: what goes, what comes, and whether it is less. */
import { connectedLoad, supplyPhases } from '../demand/connected';
import type { Rules } from '../rules/rules';
import { shown } from '../rules/rounding';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { exceeds } from '../worked';

/** What one piece of new equipment takes the place of. */
export interface Replacement {
  readonly proposalId: string;
  readonly loadId: string;
  /** What goes, with its current: “Old charger, 32 A on each of three phases”. */
  readonly goes: string;
  /** Whether the operator was told of it in its day. */
  readonly notified: boolean | null;
  /** Does what comes draw more on some line, or on more lines, than what goes? Null while either is not known. */
  readonly isMore: boolean | null;
}

/** Everything that new equipment replaces; a load that names none stands for the only piece there is. */
export function replacementsOf(survey: Survey, rules: Rules): readonly Replacement[] {
  const { proposals, loads } = survey;
  const phases = supplyPhases(survey.supply.phases);
  return loads
    .filter(({ fate }) => fate === 'replaced')
    .flatMap((load): Replacement[] => {
      const proposal =
        proposals.find(({ id }) => id === load.replacedBy) ?? (proposals.length === 1 ? proposals[0] : undefined);
      if (!proposal) return [];
      const { currentA, phases: lines, count, anyLine } = connectedLoad(load, phases, rules);
      const oldA = currentA === null ? null : currentA * count;
      const oldLines = anyLine ? 1 : lines.length;
      const size = oldA === null ? 'its current not known' : `${shown(oldA)} A${linesWords(oldLines)}`;
      return [
        {
          proposalId: proposal.id,
          loadId: load.id,
          goes: `${load.label ?? load.class}, ${size}`,
          notified: load.notified === 'yes' ? true : load.notified === 'no' ? false : null,
          isMore: isMore(proposal, oldA, oldLines),
        },
      ];
    });
}

function linesWords(lines: number): string {
  return lines === 3 ? ' on each of three phases' : ', single-phase';
}

function isMore({ ratedA, phases }: Proposal, oldA: number | null, oldLines: number): boolean | null {
  if (ratedA === undefined || oldA === null) return null;
  return exceeds(ratedA, oldA) || (phases ?? 1) > oldLines;
}

/** What the notice or application says of a replacement, in a sentence. */
export function replacementWords({ goes, isMore: more, notified }: Replacement): string {
  const size =
    more === null
      ? 'Whether that is more than before is not known.'
      : more
        ? 'It draws more than what goes, so it is judged as an addition.'
        : 'It draws no more than what goes.';
  const known = notified === true ? '' : notified === false ? ' The operator was never told of what goes.' : '';
  return `Replaces ${goes}. ${size}${known}`;
}
