import { basisGap, CLASS_NAMES } from '../demand/maximum-demand';
import { clampReadings, isLog, logDoubts } from '../demand/measured/seen';
import { sourcesOn } from '../management/sources';
import { STARTING_SETS } from '../demand/starting-sets';
import { exporting } from '../route/export';
import type { Load } from '../survey/load';
import { GENERATION_NAMES, type LogDoubt } from '../survey/words/words';
import { phaseAt } from '../tree/supply-tree';
import { nodeOf } from '../tree/sets-below';
import { APPLIANCES } from '../demand/appliances';
import { amperes, onLoad } from './changes';
import type { PlausibleAnswer, QuestionEntry, QuestionFacts } from './question';

const about = { station: 'loads', askOf: 'surveyor', stop: 'rooms', on: 'demand' } as const;

/** What each doubt about a log asks. */
export const LOG_DOUBT_WORDS: Readonly<Record<LogDoubt, string>> = {
  nought: 'it reads nought for a day or more: was the clamp on, closed and on the right conductor?',
  noise: 'it shows next to nothing for a day or more: was the clamp on, closed and on the right conductor?',
  frozen: 'it shows one value for a day or more: had the logger stopped?',
  reset: 'its register goes back: was the meter changed or reset while it ran?',
  unit: 'its figures fit another unit better: amperes, watts or kilowatts?',
  decimal: 'its marks may be thousands or decimals: which are they?',
  dates: 'its dates may be day first or month first: which are they?',
};

const LINES = ['L1', 'L2', 'L3'] as const;

function name(load: Load): string {
  return load.label ?? CLASS_NAMES[load.class];
}

/** Loads that are there, each asked where a condition holds. */
const each =
  (when: (load: Load, facts: QuestionFacts) => boolean) =>
  (facts: QuestionFacts): Load[] =>
    facts.survey.loads.filter((load) => when(load, facts));

/** Sizes a load of its class plausibly has: the least, a middle one and the greatest of those usually met; of a circuit what protects it. */
function sizesOf(load: Load, { rules }: QuestionFacts): PlausibleAnswer[] {
  if (load.class === 'socket-circuit') return amperes([16, 20, 32], (currentA) => onLoad(load.id, { currentA }));
  if (load.class === 'ev-charging' || load.class === 'heat-pump')
    return amperes(
      [...rules.circuit.settingsA.value].filter((each) => [10, 16, 32].includes(each)).reverse(),
      (currentA) => onLoad(load.id, { currentA }),
    );
  const powers = [...new Set(APPLIANCES.filter((each) => each.class === load.class).map(({ powerW }) => powerW))].sort(
    (a, b) => a - b,
  );
  const picked =
    powers.length === 0
      ? [1000, 3000]
      : [...new Set([powers[0], powers[Math.floor(powers.length / 2)], powers.at(-1)])];
  return picked.flatMap((powerW) =>
    powerW === undefined ? [] : [{ says: `${powerW} W`, change: onLoad(load.id, { powerW }) }],
  );
}

function onNoLine({ survey, connected }: QuestionFacts): Load[] {
  const onSeveral = new Set(connected.filter(({ phases }) => phases.length > 1).map(({ id }) => id));
  return survey.loads.filter(({ id, phase }) => phase === undefined && onSeveral.has(id));
}

/** What can be unknown of the loads, of what was measured and of generation there already. */
export const LOAD_QUESTIONS: readonly QuestionEntry[] = [
  {
    ...about,
    id: 'no-loads',
    field: 'loads',
    why: 'Without them the maximum demand is not known.',
    open: ({ survey, connected, basis }) => {
      const gap = basis === 'measurement' ? undefined : basisGap(connected, 'circuits');
      return gap === undefined
        ? []
        : [
            {
              title: survey.loads.length === 0 ? 'Which loads are there already?' : gap,
              remedy: 'Start from a usual set for this kind of home and correct it.',
              answers: STARTING_SETS.map((set) => ({
                says: set.name,
                change: (s) => ({ ...s, loads: [...s.loads, ...set.loads] }),
              })),
            },
          ];
    },
  },
  {
    ...about,
    id: 'no-sockets',
    field: 'loads',
    why: 'Sockets are the greatest part of most homes’ demand.',
    photo: 'The board’s front, its labels legible',
    open: ({ survey, connected, basis }) =>
      basis !== 'measurement' &&
      basisGap(connected, 'circuits') === undefined &&
      !survey.loads.some(({ class: kind }) => kind === 'socket-circuit' || kind === 'socket-appliance')
        ? [
            {
              title: 'How many socket circuits are there?',
              remedy: 'Few homes have none: check the board.',
              answers: [1, 2].map((rings) => ({
                says: rings === 1 ? 'One ring' : 'Two rings',
                change: (s) => ({
                  ...s,
                  loads: [
                    ...s.loads,
                    { id: 'supposed-rings', class: 'socket-circuit', currentA: 32, quantity: rings } as const,
                  ],
                }),
              })),
            },
          ]
        : [],
  },
  {
    ...about,
    id: 'loads-assumed',
    field: 'loads.assumed',
    why: 'A usual set is a guess until somebody has looked.',
    open: ({ survey }) => {
      const assumed = survey.loads.filter((load) => load.assumed === true);
      const [first] = assumed;
      if (!first) return [];
      const all = assumed.length === survey.loads.length;
      return [
        {
          subjectId: first.id,
          answers: [
            {
              says: 'As assumed',
              change: (s) => ({
                ...s,
                loads: s.loads.map(({ assumed: _assumed, ...load }) => load),
              }),
            },
          ],
          title: `${all ? 'All' : assumed.length} of the loads ${assumed.length === 1 && !all ? 'is' : 'are'} assumed from usual powers: confirm each, or correct it.`,
          remedy: 'Look at the board and at the plates; then confirm the list.',
        },
      ];
    },
  },
  {
    ...about,
    id: 'measurement-without-figure',
    field: 'measurements.phases.mean30A',
    why: 'A measurement without its figure bounds nothing.',
    open: ({ survey }) =>
      survey.measurements.flatMap((measurement) => {
        const figure = isLog(measurement) ? 'mean30A' : 'peakA';
        const lines = measurement.phases.filter((phase) => phase[figure] === undefined);
        if (lines.length === 0 && measurement.phases.length > 0) return [];
        return [
          {
            subjectId: measurement.id,
            field: `measurements.phases.${figure}` as const,
            title: `${isLog(measurement) ? 'Log: its highest half hour' : 'Measured current'} is not recorded${lines.length > 0 && survey.supply.phases === 3 ? ` on ${lines.map(({ id }) => id).join(', ')}` : ''}.`,
            remedy: 'Enter it, or remove the measurement.',
          },
        ];
      }),
  },
  {
    ...about,
    id: 'load-without-size',
    field: 'loads.powerW',
    why: 'It is missing from the sum.',
    photo: 'Its plate',
    open: (facts) => {
      const unsized = new Set(facts.connected.filter(({ currentA }) => currentA === null).map(({ id }) => id));
      return facts.survey.loads
        .filter(({ id }) => unsized.has(id))
        .map((load) => ({
          subjectId: load.id,
          title: `${name(load)}: what size is it? It is missing from the sum.`,
          remedy: 'Enter watts or amperes from its plate.',
          answers: sizesOf(load, facts),
        }));
    },
  },
  {
    ...about,
    id: 'control-socket-not-known',
    field: 'loads.controlUnitsWithSocket',
    why: 'A socket on the cooker’s control unit adds 5 A.',
    photo: 'The cooker’s control unit',
    open: (facts) =>
      each(({ class: kind, controlUnitsWithSocket }) => kind === 'cooking' && controlUnitsWithSocket === undefined)(
        facts,
      ).map((load) => ({
        subjectId: load.id,
        title: `${name(load)}: is there a socket on its control unit? One is counted.`,
        remedy: 'Look at the cooker switch.',
        answers: [
          { says: 'One', change: onLoad(load.id, { controlUnitsWithSocket: 1 }) },
          { says: 'None', change: onLoad(load.id, { controlUnitsWithSocket: 0 }) },
        ],
      })),
  },
  {
    ...about,
    id: 'lamps-not-known',
    field: 'loads.fixedLed',
    taken: 'at-worst',
    why: 'A point that is not fixed LED counts as a filament lamp.',
    open: (facts) =>
      each(({ class: kind, fixedLed }) => kind === 'lighting' && fixedLed === undefined)(facts).map((load) => ({
        subjectId: load.id,
        title: `${name(load)}: are the lamps fixed LED?`,
        remedy: 'Look at the fittings.',
        answers: [
          { says: 'Fixed LED', change: onLoad(load.id, { fixedLed: true }) },
          { says: 'Not all', change: onLoad(load.id, { fixedLed: false }) },
        ],
      })),
  },
  {
    ...about,
    id: 'backup-heater-not-known',
    stop: 'data',
    field: 'loads.backupWithCompressor',
    taken: 'at-worst',
    why: 'A back-up heater that cannot run with the compressor does not add to it.',
    open: (facts) =>
      each(
        ({ class: kind, backupHeaterW, backupWithCompressor: with_ }) =>
          kind === 'heat-pump' && backupHeaterW !== undefined && with_ !== 'yes' && with_ !== 'no',
      )(facts).map((load) => ({
        subjectId: load.id,
        title: `${name(load)}: can its back-up heater run with the compressor?`,
        remedy: 'Its installer’s settings say so.',
        answers: (['yes', 'no'] as const).map((answer) => ({
          says: answer === 'yes' ? 'Yes' : 'No',
          change: onLoad(load.id, { backupWithCompressor: answer }),
        })),
      })),
  },
  {
    ...about,
    id: 'phase-not-known',
    field: 'loads.phase',
    why: 'It counts on all three lines until its own is known.',
    photo: 'The three-phase board, its circuit labels legible',
    open: (facts) =>
      onNoLine(facts).map((load) => ({
        subjectId: load.id,
        title: `${name(load)}: which line is it on? It counts on all three until that is recorded.`,
        remedy: 'See which line its device is on.',
        answers: LINES.map((phase) => ({ says: phase, change: onLoad(load.id, { phase }) })),
      })),
  },
  {
    ...about,
    id: 'load-on-other-line',
    field: 'loads.phase',
    why: 'A load can only be on a line that its board has.',
    open: ({ survey: { loads, supply }, tree }) =>
      supply.phases !== 3
        ? []
        : loads.flatMap((load) => {
            const board = load.phase === undefined ? undefined : phaseAt(nodeOf(tree, load.nodeId));
            if (board === undefined || load.phase === undefined || load.phase === board) return [];
            return [
              {
                subjectId: load.id,
                title: `${name(load)}: recorded on ${load.phase === 'all' ? 'three phases' : load.phase}, and its board is on ${board} alone. Which is right?`,
                remedy: 'See which line its device is on.',
                answers: [{ says: board, change: onLoad(load.id, { phase: board }) }],
              },
            ];
          }),
  },
  {
    ...about,
    id: 'clamp-reading-line-not-known',
    stop: 'part',
    field: 'readings.phase',
    why: 'It may be of any line, and counts against each until that is recorded.',
    open: ({ survey }) =>
      survey.supply.phases === 3
        ? clampReadings(survey)
            .filter(({ phase }) => phase === undefined)
            .map(({ id, value }) => ({
              subjectId: id,
              title: `Clamp reading of ${value} A: which line was it taken on?`,
              remedy: 'Record the line.',
              answers: LINES.map((phase) => ({
                says: phase,
                change: (s) => ({
                  ...s,
                  readings: s.readings.map((reading) => (reading.id === id ? { ...reading, phase } : reading)),
                }),
              })),
            }))
        : [],
  },
  {
    ...about,
    id: 'log-doubtful',
    stop: 'desk',
    field: 'measurements.doubtsSettled',
    why: 'A log that measured nothing looks like a small demand.',
    open: ({ survey, rules }) =>
      survey.measurements.flatMap((log) => {
        const doubts = logDoubts(log, rules);
        if (doubts.length === 0) return [];
        return [
          {
            subjectId: log.id,
            title: `${log.fileName ?? 'The log'}: ${doubts.map((doubt) => LOG_DOUBT_WORDS[doubt]).join(' Also ')}`,
            remedy: 'It gives no figure until that is settled: say how it was, or log again.',
          },
        ];
      }),
  },
  {
    ...about,
    id: 'full-load-test-without-loads',
    field: 'measurements.note',
    on: 'form',
    ownUse: true,
    why: 'A full-load test is worth what was on.',
    open: ({ survey }) =>
      survey.measurements
        .filter(({ kind, phases, note }) => kind === 'full-load-test' && phases.length > 0 && !note?.trim())
        .map(({ id }) => ({
          subjectId: id,
          title: 'Which loads were on during the full-load test?',
          remedy: 'Write down which they were.',
        })),
  },
  {
    ...about,
    id: 'generation-without-rating',
    stop: 'part',
    field: 'generation.ratedA',
    on: 'generation',
    why: 'What a clamp that sees it lets through, and the class of generation, follow from it.',
    photo: 'The plate of its inverter',
    open: ({ survey }) =>
      (survey.generation ?? [])
        .filter(({ ratedA }) => ratedA === undefined)
        .map(({ id, label, kind }) => ({
          subjectId: id,
          // Without new generation only a clamp that sees it asks, and the limiter stays open there.
          on: exporting(survey).length > 0 ? ('generation' as const) : ('workmanship' as const),
          title: `${label ?? GENERATION_NAMES[kind]}: how much does it give? Nothing behind a clamp that sees it can be promised until that is recorded.`,
          remedy: 'Take the rated current from its plate or papers.',
          answers: amperes([8, 16, 32], (ratedA) => (s) => ({
            ...s,
            generation: (s.generation ?? []).map((each) => (each.id === id ? { ...each, ratedA } : each)),
          })),
        })),
  },
  {
    ...about,
    id: 'storage-charging-not-listed',
    field: 'generation.chargingListed',
    why: 'A battery is a load when it charges.',
    open: ({ survey, tree }) => {
      const there = new Set(sourcesOn(survey, tree).map(({ id }) => id));
      return (survey.generation ?? [])
        .filter(({ id, kind, chargingListed }) => kind === 'battery' && chargingListed !== 'yes' && there.has(id))
        .map(({ id, label, kind, chargingListed }) => ({
          subjectId: id,
          answers: [
            {
              says: 'Listed',
              change: (s) => ({
                ...s,
                generation: (s.generation ?? []).map((each) =>
                  each.id === id ? { ...each, chargingListed: 'yes' as const } : each,
                ),
              }),
            },
          ],
          title: `${label ?? GENERATION_NAMES[kind]}: it is a load when it charges, and that is ${chargingListed === 'no' ? 'not' : 'not known to be'} among the loads.`,
          remedy: 'List what it takes with the loads.',
        }));
    },
  },
  {
    ...about,
    id: 'replaced-notified-not-known',
    stop: 'desk',
    askOf: 'customer',
    on: 'workmanship',
    ownUse: true,
    field: 'loads.notified',
    why: 'A notice of a replacement names equipment that the operator knows; what it never heard of is told of now.',
    open: ({ survey }) =>
      survey.loads
        .filter(({ fate, notified }) => fate === 'replaced' && (notified === undefined || notified === 'unknown'))
        .map(({ id, label }) => ({
          subjectId: id,
          title: `${label ?? 'What is replaced'}: was the operator told of it in its day?`,
          remedy: 'A letter or certificate of that time, or the operator’s own record.',
          answers: [
            { says: 'Yes', change: onLoad(id, { notified: 'yes' }) },
            { says: 'No', change: onLoad(id, { notified: 'no' }) },
          ],
        })),
  },
];
