import { wirelessUses } from '../circuit/data-link';
import { clampFit } from '../management/clamp-fit';
import { clampSettings } from '../management/limiter';
import { settingsOf } from '../management/settings';
import { assumedOf } from '../management/limiter-verdict';
import { exporting } from '../route/export';
import type { FieldPath } from '../survey/schema/field-path';
import { equipmentName, HARMONICS, HARMONICS_NAMES, isCharger, isGeneration } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import { COMMISSIONING_STEPS } from '../survey/words/words';
import { nodeOf } from '../tree/sets-below';
import { phaseAt } from '../tree/supply-tree';
import { commissioningSteps } from '../management/commissioning';
import type { Rules } from '../rules/rules';
import { amperes, onProposal, yesOrNo } from './changes';
import type { Open, PlausibleAnswer, QuestionEntry, QuestionFacts } from './question';

const about = { station: 'charger', askOf: 'surveyor', stop: 'data' } as const;

/** A question about each piece of new equipment; `ask` gives what is open on one, or nothing. */
const ofEach =
  (ask: (proposal: Proposal, name: string, facts: QuestionFacts) => Omit<Open, 'subjectId'> | false) =>
  (facts: QuestionFacts): Open[] =>
    facts.survey.proposals.flatMap((proposal) => {
      const open = ask(proposal, equipmentName(proposal), facts);
      return open === false ? [] : [{ ...open, subjectId: proposal.id }];
    });

/** Ratings new equipment usually has: the settings usually met, 10 A and up. */
function ratingsOf(id: string, rules: Rules): PlausibleAnswer[] {
  const usual = rules.circuit.settingsA.value.filter((each) => each >= 10).reverse();
  return amperes(usual, (ratedA) => onProposal(id, (each) => ({ ...each, ratedA })));
}

const unanswered = (answer: string | undefined): boolean => answer === undefined || answer === 'unknown';

/** How a clamp is put on, gap by gap: one entry each, so that every field has its own question. */
const FIT_FIELDS = {
  'clamp-conductor-not-known': 'proposals.limiter.fit.conductor',
  'clamp-arrow-not-known': 'proposals.limiter.fit.arrowAlong',
  'clamp-sealed-not-known': 'proposals.limiter.fit.insideSealed',
  'clamp-line-not-known': 'proposals.limiter.fit.phase',
  'clamp-export-not-known': 'proposals.limiter.fit.seesExport',
  'clamp-export-disagrees': 'proposals.limiter.fit.seesExport',
  'clamp-sign-not-known': 'proposals.limiter.fit.signedReading',
} as const satisfies Record<ReturnType<typeof clampFit>['open'][number]['id'], FieldPath>;

type Fit = NonNullable<Proposal['limiter']['fit']>;

/** How a clamp may turn out to be put on. */
function fitAnswers(id: keyof typeof FIT_FIELDS, proposalId: string): PlausibleAnswer[] {
  const as = (says: string, fit: Partial<Fit>): PlausibleAnswer => ({
    says,
    change: onProposal(proposalId, (each) => ({
      ...each,
      limiter: { ...each.limiter, fit: { ...each.limiter.fit, ...fit } },
    })),
  });
  const both = (field: 'arrowAlong' | 'insideSealed' | 'seesExport' | 'signedReading'): PlausibleAnswer[] => [
    as('Yes', { [field]: 'yes' }),
    as('No', { [field]: 'no' }),
  ];
  switch (id) {
    case 'clamp-conductor-not-known':
      return [as('Line', { conductor: 'line' }), as('Neutral', { conductor: 'neutral' })];
    case 'clamp-line-not-known':
      return [
        as('One on each', { phase: 'all' }),
        ...(['L1', 'L2', 'L3'] as const).map((phase) => as(phase, { phase })),
      ];
    case 'clamp-arrow-not-known':
      return both('arrowAlong');
    case 'clamp-sealed-not-known':
      return both('insideSealed');
    case 'clamp-sign-not-known':
      return both('signedReading');
    default:
      return both('seesExport');
  }
}

/** What can be unknown of the new equipment, of its register, of its limiter and of generation. */
export const EQUIPMENT_QUESTIONS: readonly QuestionEntry[] = [
  {
    ...about,
    id: 'nothing-proposed',
    stop: 'desk',
    field: 'proposals',
    askOf: 'customer',
    on: 'demand',
    why: 'Everything after the work depends on what is to be connected.',
    // A request for the supply alone connects nothing.
    open: ({ survey }) =>
      survey.proposals.length > 0 || survey.request.upgradeOnly
        ? []
        : [
            {
              title: 'What is to be connected?',
              remedy: 'Add what is to be fitted, or say that only the supply is to be changed.',
            },
          ],
  },
  {
    ...about,
    id: 'charger-without-rating',
    field: 'proposals.ratedA',
    on: 'demand',
    why: 'What it adds to the demand is not known.',
    photo: 'Its plate',
    open: ofEach(
      ({ id, ratedA }, name, { rules }) =>
        ratedA === undefined && {
          title: `${name}: what is its rated current?`,
          remedy: 'Take it from the maker’s data.',
          answers: ratingsOf(id, rules),
        },
    ),
  },
  {
    ...about,
    id: 'make-and-model',
    field: 'proposals.makeAndModel',
    on: 'form',
    why: 'The form asks for it.',
    photo: 'Its plate',
    open: ofEach(
      ({ makeAndModel }, name) =>
        !makeAndModel && { title: `${name}: what make and model?`, remedy: 'As its plate says.' },
    ),
  },
  {
    ...about,
    id: 'register-not-known',
    field: 'proposals.typeTested',
    on: 'registered',
    why: 'Equipment that is not on the register has to be asked for first.',
    open: ofEach(
      ({ id, typeTested }, name) =>
        unanswered(typeTested) && {
          title: `${name}: is it on the type-test register?`,
          remedy: 'Look up its register reference.',
          answers: yesOrNo((answer) => onProposal(id, (each) => ({ ...each, typeTested: answer }))),
        },
    ),
  },
  {
    ...about,
    id: 'register-reference',
    field: 'proposals.registerReference',
    on: 'form',
    why: 'The operator looks it up by that.',
    open: ofEach(
      ({ typeTested, registerReference }, name) =>
        typeTested === 'yes' &&
        !registerReference && {
          title: `${name}: what is its register reference?`,
          remedy: 'Enter it as the register has it.',
        },
    ),
  },
  {
    ...about,
    id: 'export-not-known',
    field: 'proposals.canExport',
    on: 'generation',
    why: 'Equipment that can send power back is generation, with a route of its own.',
    open: ofEach(
      ({ id, kind, canExport }, name) =>
        kind === 'vehicle-charger' &&
        unanswered(canExport) && {
          title: `${name}: can it export?`,
          remedy: 'Take it from the maker’s data.',
          answers: yesOrNo((answer) => onProposal(id, (each) => ({ ...each, canExport: answer }))),
        },
    ),
  },
  {
    ...about,
    id: 'capacity-not-known',
    field: 'proposals.ratedA',
    on: 'generation',
    why: 'The class of generation goes by its capacity, whatever it is limited to.',
    photo: 'The plate of its inverter',
    open: ofEach(
      (proposal, name, { rules }) =>
        isGeneration(proposal) &&
        proposal.ratedA === undefined && {
          title: `${name}: how much can it give?`,
          remedy: 'Take the rated current from the plate of its inverter.',
          answers: ratingsOf(proposal.id, rules),
        },
    ),
  },
  {
    ...about,
    id: 'generation-not-said',
    station: 'loads',
    stop: 'part',
    field: 'generation',
    on: 'generation',
    why: 'All generation on the premises counts together.',
    photo: 'The roof, and any inverter or battery',
    open: ({ survey }) =>
      survey.generation === undefined && exporting(survey).length > 0
        ? [
            {
              title: 'Is there generation or a battery there already?',
              remedy: 'Look for an inverter; record each, or that there is none.',
              answers: [
                { says: 'None', change: (s) => ({ ...s, generation: [] }) },
                ...amperes([8, 16], (ratedA) => (s) => ({
                  ...s,
                  generation: [{ id: 'supposed', kind: 'pv' as const, ratedA }],
                })).map(({ says, change }) => ({ says: `PV, ${says}`, change })),
              ],
            },
          ]
        : [],
  },
  {
    ...about,
    id: 'charger-phase-not-known',
    stop: 'part',
    field: 'proposals.phase',
    on: 'demand',
    why: 'It counts on all three lines until its own is chosen.',
    open: ofEach((proposal, name, { survey, tree }) => {
      const line = proposal.phase ?? phaseAt(nodeOf(tree, proposal.nodeId));
      if (survey.supply.phases !== 3 || proposal.phases === 3 || line !== undefined) return false;
      return {
        title: `${name}: which line does it go on? It counts on all three until that is chosen.`,
        remedy: 'Choose the phase with most headroom.',
        answers: (['L1', 'L2', 'L3'] as const).map((phase) => ({
          says: phase,
          change: onProposal(proposal.id, (each) => ({ ...each, phase })),
        })),
      };
    }),
  },
  {
    ...about,
    id: 'setting-not-known',
    station: 'limit',
    field: 'proposals.limiter.fixedA',
    on: 'limiter',
    why: 'Its full rating counts until the setting is recorded.',
    open: ofEach(
      (proposal, name, { rules }) =>
        proposal.limiter.kind === 'fixed' &&
        proposal.limiter.fixedA === undefined && {
          title: `${name}: what current is it held to? Its full rating is used until that is recorded.`,
          remedy: 'Enter the setting.',
          answers: amperes(settingsOf(proposal, rules), (fixedA) =>
            onProposal(proposal.id, (each) => ({ ...each, limiter: { ...each.limiter, fixedA } })),
          ),
        },
    ),
  },
  {
    ...about,
    id: 'clamp-not-settled',
    station: 'limit',
    stop: 'part',
    field: 'proposals.limiter',
    on: 'limiter',
    why: 'A limiter without all its settings promises nothing.',
    open: ofEach((proposal, name) => {
      const clamp = clampSettings(proposal);
      return (
        clamp !== null &&
        'missing' in clamp && {
          title: `${name}: clamp management without ${clamp.missing}. The unmanaged figure is used.`,
          remedy: 'Complete the clamp’s settings.',
        }
      );
    }),
  },
  {
    ...about,
    id: 'limit-data-not-recorded',
    station: 'limit',
    field: 'proposals.stepsA',
    on: 'workmanship',
    ownUse: true,
    why: 'A limit is a promise only of equipment that has the setting.',
    photo: 'The page of the maker’s data with its settings',
    open: ofEach((proposal, name) => {
      const assumed = assumedOf(proposal);
      const { stepsA, clampLinks } = proposal;
      const field: FieldPath =
        proposal.limiter.kind === 'clamp'
          ? clampLinks === undefined
            ? 'proposals.clampLinks'
            : 'proposals.failSafesA'
          : 'proposals.stepsA';
      return (
        assumed !== undefined && {
          title: `${name}: does its maker’s data allow this limit? ${assumed}`,
          remedy: `Record ${stepsA ? 'its fail-safe settings and clamps' : 'its settings'}, or choose it from the standard equipment.`,
          field,
        }
      );
    }),
  },
  ...(Object.keys(FIT_FIELDS) as (keyof typeof FIT_FIELDS)[]).map((id): QuestionEntry => ({
    ...about,
    id,
    station: 'limit',
    stop: id === 'clamp-sign-not-known' ? 'data' : 'part',
    field: FIT_FIELDS[id],
    on: 'limiter',
    ownUse: true,
    why: 'A clamp put on wrongly gives the charger more, the more the house takes.',
    photo: 'The clamp on its conductor, its arrow in view',
    open: ofEach((proposal, name, { survey, tree }) => {
      const gap = clampFit(proposal, survey, tree).open.find((each) => each.id === id);
      return (
        gap !== undefined && { title: `${name}: ${gap.asks}`, remedy: gap.remedy, answers: fitAnswers(id, proposal.id) }
      );
    }),
  })),
  {
    ...about,
    id: 'clamp-link-not-said',
    station: 'circuit',
    stop: 'parking',
    field: 'proposals.dataLink.clamp',
    on: 'workmanship',
    ownUse: true,
    why: 'A clamp the charger cannot hear limits nothing.',
    open: ofEach(
      ({ limiter, dataLink }, name) =>
        limiter.kind === 'clamp' &&
        (dataLink?.clamp === undefined || dataLink.clamp === 'none') && {
          title: `${name}: how does the clamp reach it?`,
          remedy: 'A twisted pair in the same route is surest; wireless after a reading at the place.',
        },
    ),
  },
  {
    ...about,
    id: 'signal-not-read',
    station: 'circuit',
    stop: 'parking',
    field: 'proposals.dataLink.signalDbm',
    on: 'workmanship',
    ownUse: true,
    why: 'Walls and meter cupboards stop more of a signal than one thinks.',
    open: ofEach((proposal, name, { rules }) => {
      const uses = wirelessUses(proposal);
      return (
        uses.length > 0 &&
        proposal.dataLink?.signalDbm === undefined && {
          answers: [
            { says: 'Good', dBm: rules.circuit.signalDbm.value[0] },
            { says: 'Poor', dBm: rules.circuit.signalDbm.value[1] - 1 },
          ].map(({ says, dBm: signalDbm }) => ({
            says,
            change: onProposal(proposal.id, (each) => ({ ...each, dataLink: { ...each.dataLink, signalDbm } })),
          })),
          title: `${name}: wireless for ${uses.join(' and ')}, and no signal reading at the place.`,
          remedy: 'Read it there, through the real walls, doors shut.',
          on: uses.includes('clamp') ? ('limiter' as const) : ('workmanship' as const),
        }
      );
    }),
  },
  {
    ...about,
    id: 'startingA-not-known',
    field: 'proposals.startingA',
    on: 'form',
    why: 'The operator asks for it.',
    open: ofEach(
      ({ kind, startingA }, name) =>
        kind === 'heat-pump' &&
        startingA === undefined && {
          title: `${name}: what is its starting current?`,
          remedy: 'Take it from the maker’s data; with a soft start, that.',
        },
    ),
  },
  {
    ...about,
    id: 'harmonics-not-known',
    field: 'proposals.harmonics',
    on: 'registered',
    why: 'Equipment that keeps no limits of harmonics and flicker has to be asked for first.',
    open: ofEach(
      ({ id, kind, harmonics }, name) =>
        (kind === 'heat-pump' || kind === 'electric-heating') &&
        unanswered(harmonics) && {
          answers: HARMONICS.filter((each) => each !== 'unknown').map((answer) => ({
            says: HARMONICS_NAMES[answer],
            change: onProposal(id, (each) => ({ ...each, harmonics: answer })),
          })),
          title: `${name}: which limits of harmonics and flicker does it keep?`,
          remedy: 'Its declaration says so.',
        },
    ),
  },
  {
    ...about,
    id: 'limiter-not-commissioned',
    station: 'commissioning',
    stop: 'part',
    field: 'proposals.limiter.test',
    on: 'workmanship',
    taken: 'as-usual',
    why: 'Until it is commissioned a limiter is promised only if it is put on and set as recorded.',
    open: ofEach(
      (proposal, name, { survey, rules, tree }) =>
        proposal.limiter.kind === 'clamp' &&
        isCharger(proposal) &&
        commissioningSteps(proposal, survey, rules, tree).filter(({ state }) => state === 'holds').length <
          COMMISSIONING_STEPS.length && {
          title: `${name}: the limiter is not commissioned in full.`,
          remedy: 'Once it is fitted, step by step.',
        },
    ),
  },
];
