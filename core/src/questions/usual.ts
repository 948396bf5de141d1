import { equipmentName } from '../survey/words/kinds';
import { CLASS_NAMES } from '../demand/maximum-demand';
import type { QuestionEntry } from './question';

const about = { askOf: 'surveyor', taken: 'as-usual', on: 'workmanship', ownUse: true } as const;
const load = { ...about, station: 'loads', stop: 'rooms' } as const;
const request = { ...about, station: 'route', stop: 'desk', on: 'form' } as const;

/** What is taken as usual where nothing is recorded: nobody is asked, and whoever looks for it finds what was taken. */
export const USUAL_QUESTIONS: readonly QuestionEntry[] = [
  {
    ...load,
    id: 'quantity-taken',
    field: 'loads.quantity',
    why: 'Where no number is recorded there is one.',
    ofLoad: ({ id, label, quantity, class: kind }) =>
      quantity === undefined
        ? {
            subjectId: id,
            title: `${label ?? CLASS_NAMES[kind]}: one is counted.`,
            remedy: 'Record how many, where there are more.',
          }
        : null,
  },
  {
    ...load,
    id: 'power-factor-taken',
    field: 'loads.powerFactor',
    why: 'Watts are taken for volt-amperes where no power factor is recorded.',
    ofLoad: ({ id, label, powerW, powerFactor, class: kind }) =>
      powerW !== undefined && powerFactor === undefined
        ? {
            subjectId: id,
            title: `${label ?? CLASS_NAMES[kind]}: a power factor of 1 is used.`,
            remedy: 'Take it from the plate of a motor, a pump or a welder.',
          }
        : null,
  },
  {
    ...load,
    id: 'backup-heater-taken',
    field: 'loads.backupHeaterW',
    why: 'A heat pump is taken to have no back-up heater where none is recorded.',
    ofLoad: ({ id, label, class: kind, backupHeaterW }) =>
      kind === 'heat-pump' && backupHeaterW === undefined
        ? {
            subjectId: id,
            title: `${label ?? CLASS_NAMES[kind]}: no back-up heater is counted.`,
            remedy: 'Look at its data.',
          }
        : null,
  },
  {
    ...load,
    stop: 'desk',
    id: 'basis-taken',
    field: 'declaration.basis',
    why: 'Where nobody has declared a method, the rules’ own is used.',
    open: ({ survey, basis }) =>
      survey.declaration.basis === undefined
        ? [{ title: `Maximum demand by ${basis} is used.`, remedy: 'Declare the method you stand by.' }]
        : [],
  },
  {
    ...load,
    stop: 'desk',
    id: 'basis-without-reason',
    field: 'declaration.reason',
    why: 'A method other than the rules’ own is used only with a reason.',
    open: ({ survey: { declaration }, basis }) =>
      declaration.basis !== undefined && declaration.basis !== basis && !declaration.reason?.trim()
        ? [{ title: `Maximum demand by ${basis} is used.`, remedy: `Say why ${declaration.basis} is declared.` }]
        : [],
  },
  {
    ...load,
    id: 'nothing-measured',
    field: 'measurements',
    why: 'Nothing was measured to compare the list with.',
    open: ({ survey }) =>
      survey.measurements.length === 0
        ? [{ title: 'Nothing was measured.', remedy: 'Read the current at the tails, or log it for a week.' }]
        : [],
  },
  {
    ...load,
    askOf: 'customer',
    id: 'generation-taken',
    field: 'generation',
    why: 'What sends power back already counts towards the limit for notifying.',
    open: ({ survey }) =>
      survey.generation === undefined
        ? [{ title: 'No generation on the premises is counted.', remedy: 'Ask, and look at the roof and the board.' }]
        : [],
  },
  {
    ...about,
    taken: 'at-worst',
    station: 'limit',
    stop: 'data',
    id: 'limiter-taken',
    field: 'proposals.limiter.kind',
    why: 'Equipment counts at its full rating where no limit is recorded.',
    open: ({ survey }) =>
      survey.proposals
        .filter(({ limiter }) => limiter.kind === undefined)
        .map((proposal) => ({
          subjectId: proposal.id,
          title: `${equipmentName(proposal)}: how is it kept inside the supply?`,
          remedy: 'It counts at its full rating until that is recorded.',
        })),
  },
  {
    ...about,
    station: 'loop',
    stop: 'part',
    id: 'neighbours-taken',
    field: 'intake.loop.neighbours',
    why: 'One other property is taken to share a looped service.',
    open: ({ survey: { intake }, loop }) =>
      loop !== 'own' && intake.loop.neighbours === undefined
        ? [{ title: 'One other property on the service is counted.', remedy: 'Count them.' }]
        : [],
  },
  {
    ...about,
    station: 'loop',
    stop: 'part',
    id: 'neighbour-demand-taken',
    field: 'intake.loop.neighbourDemandA',
    why: 'A neighbour nobody has asked is taken at the rules’ figure.',
    open: ({ shared, rules }) =>
      shared?.neighbourAssumed
        ? [
            {
              title: `The neighbours’ demand is assumed: ${shared.neighbour.value ?? '?'} A.`,
              remedy: 'Ask them what they have.',
              source: rules.assumedNeighbourDemandA.source,
            },
          ]
        : [],
  },
  {
    ...about,
    station: 'charger',
    stop: 'data',
    id: 'phases-taken',
    field: 'proposals.phases',
    why: 'Equipment is taken to be single-phase where nothing else is recorded.',
    open: ({ survey }) =>
      survey.proposals
        .filter(({ phases }) => phases === undefined)
        .map((proposal) => ({
          subjectId: proposal.id,
          title: `${equipmentName(proposal)}: single-phase is used.`,
          remedy: 'Take it from the maker’s data.',
        })),
  },
  {
    ...request,
    id: 'development-taken',
    field: 'request.installationsOnDevelopment',
    why: 'One installation is taken.',
    open: ({ survey }) =>
      survey.request.installationsOnDevelopment === undefined
        ? [{ title: 'A single installation on this development.', remedy: 'Record how many, where there are more.' }]
        : [],
  },
  ...(['fuseUpgrade', 'wantedFuseA', 'newPhases', 'importLimitation', 'exportLimitation'] as const).map(
    (asked): QuestionEntry => ({
      ...request,
      id: `request-${asked}`,
      field: `request.${asked}`,
      why: 'Nothing more is asked of the operator than what is recorded.',
      open: ({ survey }) =>
        survey.request[asked] === undefined
          ? [{ title: 'Not asked for.', remedy: 'Record it where it is asked for.' }]
          : [],
    }),
  ),
];
