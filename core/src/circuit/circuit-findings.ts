import type { Statement } from '../finding';
import { isCharger } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import { nodeOf } from '../tree/sets-below';
import { exceeds, type Step } from '../worked';
import { boardWayFindings } from './board-way';
import type { CircuitAssessment } from './charger-circuit';
import { circuitStart } from './charger-circuit';
import type { CircuitFacts } from './circuit-facts';
import { dataLinkFindings } from './data-link';
import { positionFindings } from './position';
import { reuseFindings } from './reuse';
import { flowBackFindings, rcdFindings } from '../protection/rcd-choice';
import { rcdsAbove } from '../protection/rcds-above';
import { LIMIT_NAMES, type Limit, type SizeVerdict } from '../cable/size';
import { limitWords } from '../cable/size-search';
import { surgeFindings } from '../protection/surge';

/** Everything there is to say of the circuit of one piece of new equipment. */
export function circuitFindings(proposal: Proposal, assessed: CircuitAssessment, facts: CircuitFacts): Statement[] {
  return [
    ...(isCharger(proposal) ? rcdFindings(proposal, facts) : flowBackFindings(proposal)),
    ...deviceFindings(assessed),
    ...reuseFindings(proposal, facts),
    ...cableFindings(proposal, assessed, facts),
    ...boardWayFindings(proposal, facts),
    ...surgeFindings(facts.survey, proposal, facts.rules),
    ...(isCharger(proposal)
      ? [...dataLinkFindings(proposal, facts.rules), ...positionFindings(proposal, facts.rules)]
      : []),
  ];
}

function deviceFindings({ proposalId, label, designA, device }: CircuitAssessment): Statement[] {
  if (device.taken || designA === null || device.ratingA === null || !exceeds(designA, device.ratingA)) return [];
  return [
    {
      id: 'circuit-device-too-small',
      grade: 'act',
      on: 'circuit',
      station: 'circuit',
      subjectId: proposalId,
      title: `${label}: a device of ${device.ratingA} A for ${designA} A drawn for hours.`,
      remedy: `A larger device if the cable carries it, or hold the equipment to ${device.ratingA} A.`,
      source: 'BS 7671 433.1, 722.311',
      field: 'proposals.circuit.deviceRatingA',
    },
  ];
}

const SOURCES: Readonly<Record<Limit, string>> = {
  capacity: 'BS 7671 433.1, 523',
  'volt-drop': 'BS 7671 525, appendix 4',
  'loop-impedance': 'BS 7671 411.4.4',
  'protective-conductor': 'BS 7671 543.1.3',
};

function cableFindings(proposal: Proposal, assessed: CircuitAssessment, facts: CircuitFacts): Statement[] {
  const { label, recorded, recordedMm2, search, gap } = assessed;
  const about = { station: 'circuit', subjectId: proposal.id, grade: 'act', on: 'circuit' } as const;
  if (gap !== null || !search) {
    // The rating of the equipment is asked for where the equipment is described.
    if (assessed.designA === null || assessed.gapKind !== 'not-in-table') return [];
    return [
      {
        ...about,
        id: 'cable-not-in-table',
        title: `${label}: ${gap ?? 'cable not known'}, so its circuit can’t be worked out.`,
        remedy: 'Have it worked out from its maker’s data by a competent person.',
        field: 'proposals.circuit.cableType',
      },
    ];
  }
  if (recordedMm2 !== null && !recorded)
    return [
      {
        ...about,
        id: 'cable-not-in-table',
        title: `${label}: ${recordedMm2} mm² is not in the table for this cable, and nothing is put in its place.`,
        remedy: 'A size that is in the table, or the maker’s data.',
        field: 'proposals.circuit.sizeMm2',
      },
    ];
  if (recorded) return recorded.failsBy.map((limit) => failure(limit, recorded, assessed, facts, proposal));
  if (search.smallestMm2 !== null || search.smallestOpenMm2 !== null) return [];
  return [
    {
      ...about,
      id: 'no-size-passes',
      title: `${label}: no size in the table passes; the largest fails by ${limitWords(search.limitedBy)}.`,
      remedy: 'A shorter or cooler way, a lower setting of the charger, or another kind of cable.',
    },
  ];
}

/** What a circuit’s cable is not judged by yet; empty where it is judged in full, or where nothing can be said at all. */
export function cableGaps({ recorded, recordedMm2, search }: CircuitAssessment): readonly string[] {
  if (!search || (recordedMm2 !== null && !recorded)) return [];
  if (recorded) return recorded.notKnown;
  if (search.smallestMm2 !== null) return [];
  return search.sizes.find(({ sizeMm2 }) => sizeMm2 === search.smallestOpenMm2)?.notKnown ?? [];
}

/** One thing the recorded size fails by, with its working and the smallest size that would pass. */
function failure(
  limit: Limit,
  recorded: SizeVerdict,
  { label, search, loopLimit, device, designA }: CircuitAssessment,
  facts: CircuitFacts,
  proposal: Proposal,
): Statement {
  const percent = facts.rules.circuit.largestDropPercent.value;
  const number = (value: number | null): string => (value === null ? '?' : value.toFixed(2));
  const says: Readonly<Record<Limit, string>> = {
    capacity: `carries ${number(recorded.capacity.value)} A as it is laid, behind a device of ${device.ratingA ?? '?'} A, for ${number(designA)} A drawn`,
    'volt-drop': `${number(recorded.drop.value)} % volt drop from the origin, ${percent} % at most`,
    'loop-impedance': `loop impedance ${number(recorded.loop.value)} Ω, ${number(loopLimit.value)} Ω at most`,
    'protective-conductor': `its protective conductor of ${recorded.cpcMm2 ?? '?'} mm² is under ${number(recorded.leastCpc.value)} mm²`,
  };
  const working: Readonly<Record<Limit, readonly Step[]>> = {
    capacity: recorded.capacity.working,
    'volt-drop': recorded.drop.working,
    'loop-impedance': [...recorded.loop.working, ...loopLimit.working],
    'protective-conductor': recorded.leastCpc.working,
  };
  const rcd =
    proposal.rcd?.place === 'at-board' ||
    rcdsAbove(circuitStart(proposal, facts).from ?? nodeOf(facts.tree, proposal.nodeId)).length > 0;
  const byRcd =
    limit === 'loop-impedance' && rcd
      ? ' An RCD before it may disconnect instead, where the designer declares so.'
      : '';
  const size = search?.smallestMm2 ?? null;
  return {
    id: `cable-fails-${limit}`,
    grade: 'act',
    on: 'circuit',
    station: 'circuit',
    subjectId: proposal.id,
    title: `${label}: ${recorded.sizeMm2} mm² fails by ${LIMIT_NAMES[limit]}: ${says[limit]}.`,
    remedy: `${size === null ? 'No size in the table is shown to pass: a shorter way, or a lower setting.' : `${size} mm² passes.`}${byRcd}`,
    source: SOURCES[limit],
    field: 'proposals.circuit.sizeMm2',
    working: working[limit],
  };
}
