import type { Statement } from '../finding';
import type { Rules } from '../rules/rules';
import type { Position } from '../survey/circuit';
import { equipmentName } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import { exceeds, written } from '../worked';

type PositionFault = 'access' | 'obstructs' | 'other-side' | 'reach';

/** Whether the place of the equipment will do: height, reach, what is in the way, what is behind the wall. */
export function positionFindings(proposal: Proposal, rules: Rules): Statement[] {
  const { id, position = {} } = proposal;
  const label = equipmentName(proposal);
  const { value: band, source } = rules.circuit.heightBandM;
  const about = { station: 'circuit', subjectId: id, ownUse: true } as const;
  const { heightM, reachable, obstructs, toInletM, leadM, otherSideLooked } = position;
  const found: Statement[] = [];
  const act = (name: PositionFault, title: string, remedy: string, field: keyof Position): void => {
    found.push({
      ...about,
      id: `position-${name}`,
      grade: 'act',
      on: 'workmanship',
      title: `${label}: ${title}`,
      remedy,
      field: `proposals.position.${field}`,
    });
  };
  if (reachable === 'no')
    act('access', 'it cannot be reached safely.', 'Another place, or a clear way to it.', 'reachable');
  if (obstructs === 'yes')
    act(
      'obstructs',
      'it or its lead would be in somebody’s way.',
      'Another place, or a way for the lead that crosses no path.',
      'obstructs',
    );
  if (toInletM !== undefined && leadM !== undefined && exceeds(toInletM, leadM))
    act(
      'reach',
      `the inlet is ${written(toInletM)} m away and the lead ${written(leadM)} m long.`,
      'A nearer place, a longer lead if its maker offers one, or parking the other way round; never an extension.',
      'toInletM',
    );
  if (otherSideLooked === 'no')
    act(
      'other-side',
      'the other side of the wall was not looked at before drilling.',
      'Look for pipes and cables there and in the wall; a detector does not see everything.',
      'otherSideLooked',
    );
  if (heightM !== undefined && (heightM < band[0] || heightM > band[1]))
    found.push({
      ...about,
      id: 'position-height',
      grade: 'note',
      title: `${label}: ${written(heightM)} m is outside ${band[0]} to ${band[1]} m.`,
      remedy: 'See that everybody who will use it can reach it, and what its maker allows.',
      source,
      field: 'proposals.position.heightM',
    });
  return found;
}

/** What of its place nobody has looked at, in words. */
export function positionGaps({ position = {} }: Proposal): string[] {
  const { heightM, reachable, obstructs, toInletM, leadM, otherSideLooked } = position;
  const unanswered = (answer: string | undefined): boolean => answer === undefined || answer === 'unknown';
  return [
    heightM === undefined ? 'its height' : '',
    unanswered(reachable) ? 'whether it can be reached safely' : '',
    unanswered(obstructs) ? 'whether it or its lead is in anybody’s way' : '',
    toInletM === undefined || leadM === undefined ? 'whether the lead reaches the vehicle’s inlet' : '',
    unanswered(otherSideLooked) ? 'what is behind the wall' : '',
  ].filter((part) => part !== '');
}
