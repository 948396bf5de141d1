import { HAIR } from '../rules/rounding';
import { cableGaps } from '../circuit/circuit-findings';
import { nodeName } from '../survey/words/words';
import { FEEDER_FIELDS } from '../feeder/feeder-findings';
import { positionGaps } from '../circuit/position';
import { flowsBack, rcdGaps } from '../protection/rcd-choice';
import { rcdsAbove } from '../protection/rcds-above';
import { surgeGap } from '../protection/surge';
import type { CircuitAssessment } from '../circuit/charger-circuit';
import { reuseGaps } from '../circuit/reuse';
import { equipmentName, isCharger } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import { RCD_TYPES } from '../survey/words/words';
import { nodeOf } from '../tree/sets-below';
import { amperes, onNode, onProposal, yesOrNo } from './changes';
import type { Open, QuestionEntry, QuestionFacts } from './question';

const about = { station: 'circuit', askOf: 'surveyor', ownUse: true, on: 'circuit' } as const;

/** A question about each new circuit; `ask` gives what is open on one, or nothing. */
const ofEach =
  (
    ask: (
      proposal: Proposal,
      assessed: CircuitAssessment,
      facts: QuestionFacts,
    ) => Omit<Open, 'subjectId'> | false | null,
  ) =>
  (facts: QuestionFacts): Open[] =>
    facts.survey.proposals.flatMap((proposal) => {
      const assessed = facts.circuits.find(({ proposalId }) => proposalId === proposal.id);
      const open = assessed ? ask(proposal, assessed, facts) : false;
      return open === false || open === null ? [] : [{ ...open, subjectId: proposal.id }];
    });

const SURGE_SOURCE = 'BS 7671 443.4';
const surge = {
  ...about,
  stop: 'desk',
  askOf: 'customer',
  on: 'workmanship',
  why: 'Surge protection is offered by default; leaving it out is the owner’s decision.',
} as const;

/** The old circuit as it turns out to be. */
const withReuse =
  (seen: Partial<NonNullable<Proposal['reuse']>>) =>
  (proposal: Proposal): Proposal => ({ ...proposal, reuse: { ...proposal.reuse, ...seen } });

const unanswered = (answer: string | undefined): boolean => answer === undefined || answer === 'unknown';

/** RCDs a charger's current passes through besides its own, each once. */
function upstreamRcds({ survey, tree }: QuestionFacts): ReturnType<typeof rcdsAbove> {
  const found = survey.proposals.filter(isCharger).flatMap(({ nodeId }) => rcdsAbove(nodeOf(tree, nodeId)));
  return found.filter((each, at) => found.findIndex(({ here }) => here === each.here) === at);
}

/** An RCD as equipment that has one built in declares it. */
function builtIn(residualMa: number): NonNullable<Proposal['rcd']> {
  const yes = 'yes';
  return { place: 'built-in', declared: yes, residualMa, rcdType: 'A', dcDetection: yes, breaksNeutral: yes };
}

/** What can be unknown of the new circuit, its protection, its place and the feeder that carries it. */
export const CIRCUIT_QUESTIONS: readonly QuestionEntry[] = [
  {
    ...about,
    id: 'circuit-device-not-chosen',
    stop: 'part',
    field: 'proposals.circuit.deviceRatingA',
    why: 'The cable and the disconnection are checked against it.',
    open: ofEach(
      ({ id }, { label, device }, { rules }) =>
        device.taken && {
          answers: amperes(
            rules.circuit.deviceRatingsA.value.filter((each) => each >= 16 && each <= 40),
            (deviceRatingA) => onProposal(id, (each) => ({ ...each, circuit: { ...each.circuit, deviceRatingA } })),
          ),
          title: `${label}: which device will protect it?`,
          remedy: 'Rating and curve, of a make the board takes.',
        },
    ),
  },
  {
    ...about,
    id: 'cable-not-known',
    stop: 'route',
    field: 'proposals.circuit.cableType',
    why: 'Capacity, volt drop and disconnection follow from it.',
    open: ofEach(
      ({ circuit }, { label, gap, gapKind, designA }) =>
        gapKind === 'not-known' &&
        designA !== null && {
          title: `${label}: ${circuit?.cableType === undefined ? 'which cable?' : `${gap ?? 'cable not known'}, so its circuit can’t be worked out yet.`}`,
          remedy: 'Choose the kind of cable.',
        },
    ),
  },
  {
    ...about,
    id: 'cable-not-judged',
    stop: 'route',
    field: 'proposals.circuit.segments',
    why: 'A size is only right for the way it goes.',
    photo: 'The way from the board to the equipment',
    open: ofEach(({ circuit }, assessed) => {
      const gaps = cableGaps(assessed);
      const { label, recorded } = assessed;
      return (
        gaps.length > 0 && {
          title:
            (circuit?.segments ?? []).length === 0
              ? `${label}: which way does the cable go?`
              : `${label}: ${recorded ? `can ${recorded.sizeMm2} mm² be judged in full?` : 'which size is needed?'} Missing: ${gaps.join('; ')}.`,
          remedy: `Record what is missing along the route: ${gaps.join('; ')}.`,
        }
      );
    }),
  },
  {
    ...about,
    id: 'route-conditions-taken',
    stop: 'route',
    field: 'proposals.circuit.segments',
    why: 'Cables that run together, in heat or in insulation carry less.',
    photo: 'Where it runs beside other cables, in hot places, or in insulation',
    open: ofEach(
      (_proposal, { label, taken, recorded, search }) =>
        taken.length > 0 &&
        (recorded ?? search?.smallestMm2 ?? null) !== null && {
          title: `${label}: what warms the cable?`,
          remedy: `Used until it is recorded: ${taken.join(', ')}. Look where it runs beside other circuits, in hot places, or in insulation.`,
        },
    ),
  },
  {
    ...about,
    id: 'terminals-not-known',
    stop: 'data',
    on: 'workmanship',
    taken: 'as-usual',
    field: 'proposals.circuit.terminalsFor90',
    why: 'A cable may run no hotter than the terminals at its ends: 70 °C unless both are declared for more (512.1.5).',
    open: ofEach(
      ({ id, circuit }, { label, cable }) =>
        circuit?.cableType === 'armoured' &&
        circuit.terminalsFor90 === undefined &&
        cable !== null && {
          title: `${label}: are the terminals at both ends declared for 90 °C? The 70 °C figures are used until that is recorded.`,
          remedy: 'The makers of the device and of the equipment say so.',
          answers: yesOrNo((terminalsFor90) =>
            onProposal(id, (each) => ({ ...each, circuit: { ...each.circuit, terminalsFor90 } })),
          ),
        },
    ),
  },
  {
    ...about,
    id: 'own-rcd-not-said',
    stop: 'data',
    field: 'proposals.rcd.place',
    why: 'Every charging point needs a 30 mA RCD of its own.',
    open: ofEach(
      (proposal, _assessed, { rules }) =>
        isCharger(proposal) &&
        proposal.rcd?.place === undefined && {
          answers: [
            {
              says: 'Built in, and declared',
              change: onProposal(proposal.id, (each) => ({
                ...each,
                rcd: builtIn(rules.circuit.rcd.value.residualMa),
              })),
            },
            {
              says: 'At the board',
              change: onProposal(proposal.id, (each) => ({ ...each, rcd: { place: 'at-board' } })),
            },
          ],
          title: `${equipmentName(proposal)}: where is its own ${rules.circuit.rcd.value.residualMa} mA RCD?`,
          remedy: 'Say whether it is built into the equipment, as its maker declares, or goes beside its device.',
          source: rules.circuit.rcd.source,
        },
    ),
  },
  {
    ...about,
    id: 'own-rcd-not-settled',
    stop: 'data',
    field: 'proposals.rcd',
    why: 'An RCD of the wrong kind does not trip.',
    photo: 'The face of the RCD, or the page that declares it',
    open: ofEach((proposal, _assessed, { circuitFacts, rules }) => {
      const gaps = isCharger(proposal) ? rcdGaps(proposal, circuitFacts) : [];
      return (
        gaps.length > 0 && {
          title: `${equipmentName(proposal)}: does its RCD suffice?`,
          remedy: `Not yet known: ${gaps.join('; ')}. Take it from the maker’s data, or read it off its face.`,
          source: rules.circuit.rcd.source,
        }
      );
    }),
  },
  {
    ...about,
    id: 'upstream-rcd-type-not-known',
    stop: 'part',
    field: 'supply.nodes.rcdType',
    why: 'Direct current from a charger blinds an RCD of type AC before it.',
    photo: 'The face of the RCD, its type symbol legible',
    open: (facts) =>
      upstreamRcds(facts)
        .filter(({ rcdType }) => rcdType === undefined)
        .map(({ here }) => ({
          subjectId: here.node.id,
          source: facts.rules.circuit.rcd.source,
          answers: RCD_TYPES.map((rcdType) => ({ says: rcdType, change: onNode(here.node.id, { rcdType }) })),
          title: `${nodeName(here.node)}: which RCD type is it? It stands before the charger.`,
          remedy: 'Read it off its face: type AC may not stay there.',
        })),
  },
  {
    ...about,
    id: 'upstream-rcd-residual-not-known',
    stop: 'part',
    field: 'supply.nodes.residualMa',
    why: 'Two RCDs alike in series: either may trip first.',
    photo: 'The face of the RCD, I∆n legible',
    open: (facts) =>
      upstreamRcds(facts)
        .filter(({ residualMa, timeDelayed }) => residualMa === undefined && !timeDelayed)
        .map(({ here }) => ({
          subjectId: here.node.id,
          source: facts.rules.circuit.rcd.source,
          answers: [30, 100, 300].map((residualMa) => ({
            says: `${residualMa} mA`,
            change: onNode(here.node.id, { residualMa }),
          })),
          title: `${nodeName(here.node)}: what is its residual current? It stands before the charger.`,
          remedy: 'Read I∆n off its face, and whether it is time-delayed (S).',
        })),
  },
  {
    ...about,
    id: 'device-direction-not-known',
    stop: 'data',
    field: 'proposals.circuit.bothDirections',
    why: 'A device for one direction may not open when power flows back.',
    photo: 'The face of the device: “line” and “load” mark it for one direction',
    open: ofEach(
      (proposal) =>
        flowsBack(proposal) &&
        unanswered(proposal.circuit?.bothDirections) && {
          title: `${equipmentName(proposal)}: power can flow back; is its device marked for both directions?`,
          remedy: 'Look for “line” and “load” marks on it: those are for one direction only.',
          answers: yesOrNo((bothDirections) =>
            onProposal(proposal.id, (each) => ({ ...each, circuit: { ...each.circuit, bothDirections } })),
          ),
        },
    ),
  },
  // Its device is asked for with the other ratings.
  ...(['cable', 'what-else'] as const).map((id): QuestionEntry => ({
    ...about,
    id: `feeder-${id}`,
    stop: id === 'what-else' ? 'rooms' : 'part',
    field: FEEDER_FIELDS[id],
    why: 'A feeder carries the charger as well as everything else there.',
    open: ({ feeders }) =>
      feeders.flatMap(({ questions, label, nodeId, proposalId }) =>
        questions
          .filter((each) => each.id === id && each.state === 'not-known' && proposalId !== null)
          .map(({ question, answer }) => ({
            subjectId: nodeId,
            title: `${label}: ${question} ${answer}.`.replace('..', '.'),
            remedy:
              id === 'what-else'
                ? 'Place the loads of the outbuilding on its board, with their sizes.'
                : 'Read it at the device, and along the cable.',
          })),
      ),
  })),
  {
    ...about,
    id: 'feeder-uncounted',
    stop: 'rooms',
    field: 'loads.nodeId',
    on: 'demand',
    ownUse: false,
    why: 'The maximum demand and the feeder are counted from different lists.',
    open: ({ feeders }) =>
      feeders
        .filter(({ uncountedA, proposalId }) => uncountedA > HAIR && proposalId !== null)
        .map(({ nodeId, label, uncountedA }) => ({
          subjectId: nodeId,
          title: `${label}: judged with ${uncountedA.toFixed(1)} A that the basis declared does not count there.`,
          remedy:
            'Record the socket circuit the appliances are on, or the appliances on the circuits, so that the maximum demand holds them too.',
        })),
  },
  {
    ...about,
    id: 'feeder-claim-not-shown',
    stop: 'part',
    on: 'workmanship',
    field: 'supply.nodes.claimedRatingA',
    why: 'A thick cable may have been laid for volt drop or grouping.',
    open: ({ feeders }) =>
      feeders.flatMap(({ claim, nodeId, label }) =>
        claim?.holds === null
          ? [
              {
                subjectId: nodeId,
                title: `${label}: would its cable carry ${claim.claimedA} A? Not shown: ${claim.reasons.join('; ')}.`,
                remedy: 'Its device stays as it is until that is worked out.',
              },
            ]
          : [],
      ),
  },
  {
    ...surge,
    id: 'surge-not-decided',
    field: 'proposals.surge.decision',
    open: ofEach(
      (proposal, { label }, { survey }) =>
        surgeGap(proposal, survey) === 'decision' && {
          title: `${label}: is surge protection to be fitted?`,
          remedy: 'See whether the board has it; otherwise offer it, and record what the owner says.',
          source: SURGE_SOURCE,
        },
    ),
  },
  {
    ...surge,
    id: 'surge-decision-incomplete',
    field: 'proposals.surge.decidedBy',
    open: ofEach(
      (proposal, { label }, { survey }) =>
        surgeGap(proposal, survey) === 'decided-by' && {
          title: `${label}: surge protection is declined: by whom, and why?`,
          remedy: 'The owner’s name and reason.',
          source: SURGE_SOURCE,
        },
    ),
  },
  {
    ...surge,
    id: 'surge-leads-not-known',
    stop: 'part',
    askOf: 'surveyor',
    field: 'proposals.surge.leadsM',
    open: ofEach(
      (proposal, { label }, { survey, rules }) =>
        surgeGap(proposal, survey) === 'leads' && {
          title: `${label}: how long are the surge protection’s leads?`,
          remedy: `See where it can sit: ${rules.circuit.longestSurgeLeadsM.value} m of leads at most, line and earth together.`,
          source: SURGE_SOURCE,
        },
    ),
  },
  {
    ...about,
    id: 'position-not-settled',
    stop: 'parking',
    on: 'workmanship',
    field: 'proposals.position',
    why: 'A place that does not do is found out on fitting day.',
    photo: 'The wall, the parking place and the vehicle’s inlet',
    open: ofEach((proposal, { label }) => {
      const gaps = isCharger(proposal) ? positionGaps(proposal) : [];
      return (
        gaps.length > 0 && {
          title: `${label}: is its place right?`,
          remedy: `Not yet known: ${gaps.join('; ')}. Stand there as the driver will, and look at the other side of the wall before drilling.`,
        }
      );
    }),
  },
  {
    ...about,
    id: 'reused-cable-not-looked',
    stop: 'route',
    field: 'proposals.reuse.look',
    why: 'A cable that was good once may be chafed, cut or crushed since.',
    photo: 'The old cable along its way, and its ends',
    open: ofEach(
      (proposal, { label }) =>
        reuseGaps(proposal).includes('look') && {
          title: `${label}: is the old cable sound all the way?`,
          remedy: 'Look along the whole of it. What cannot be seen is not known to be sound.',
          answers: [
            { says: 'Sound all the way', change: onProposal(proposal.id, withReuse({ look: 'sound' })) },
            { says: 'Damaged', change: onProposal(proposal.id, withReuse({ look: 'damaged' })) },
          ],
        },
    ),
  },
  {
    ...about,
    id: 'reused-cores-not-known',
    stop: 'route',
    field: 'proposals.reuse.cores',
    why: 'The equipment needs its lines, a neutral and a protective conductor.',
    open: ofEach(
      (proposal, { label }) =>
        reuseGaps(proposal).includes('cores') && {
          title: `${label}: how many conductors has the old cable?`,
          remedy: 'Count them at an open end; the armour is not one.',
          answers: [3, 5].map((cores) => ({
            says: String(cores),
            change: onProposal(proposal.id, withReuse({ cores })),
          })),
        },
    ),
  },
  {
    ...about,
    id: 'reused-insulation-not-measured',
    stop: 'part',
    field: 'proposals.reuse.insulationMOhm',
    why: 'Insulation that has aged or been wet shows nothing outside.',
    open: ofEach(
      (proposal, { label }, { rules }) =>
        reuseGaps(proposal).includes('insulation') && {
          title: `${label}: what is the old cable’s insulation resistance?`,
          remedy: `Isolate it and measure at 500 V: at least ${rules.circuit.leastInsulationMOhm.value} MΩ. Record the least reading.`,
          source: rules.circuit.leastInsulationMOhm.source,
        },
    ),
  },
];
