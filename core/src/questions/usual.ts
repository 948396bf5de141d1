import { equipmentName } from '../survey/kinds';
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
    open: ({ survey }) =>
      survey.loads
        .filter(({ quantity }) => quantity === undefined)
        .map(({ id, label, class: kind }) => ({
          subjectId: id,
          title: `${label ?? CLASS_NAMES[kind]}: one is counted.`,
          remedy: 'Record how many, where there are more.',
        })),
  },
  {
    ...load,
    id: 'power-factor-taken',
    field: 'loads.powerFactor',
    why: 'Watts are taken for volt-amperes where no power factor is recorded.',
    open: ({ survey }) =>
      survey.loads
        .filter(({ powerW, powerFactor }) => powerW !== undefined && powerFactor === undefined)
        .map(({ id, label, class: kind }) => ({
          subjectId: id,
          title: `${label ?? CLASS_NAMES[kind]}: a power factor of 1 is used.`,
          remedy: 'Take it from the plate of a motor, a pump or a welder.',
        })),
  },
  {
    ...load,
    id: 'backup-heater-taken',
    field: 'loads.backupHeaterW',
    why: 'A heat pump is taken to have no back-up heater where none is recorded.',
    open: ({ survey }) =>
      survey.loads
        .filter(({ class: kind, backupHeaterW }) => kind === 'heat-pump' && backupHeaterW === undefined)
        .map(({ id, label, class: kind }) => ({
          subjectId: id,
          title: `${label ?? CLASS_NAMES[kind]}: no back-up heater is counted.`,
          remedy: 'Look at its data.',
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
    open: ({ shared, pack }) =>
      shared?.neighbourAssumed
        ? [
            {
              title: `The neighbours’ demand is assumed: ${shared.neighbour.value ?? '?'} A.`,
              remedy: 'Ask them what they have.',
              source: pack.assumedNeighbourDemandA.source,
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
