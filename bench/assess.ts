import { assess } from '@keen-gauge/core/assess';
import { Memory } from '@keen-gauge/core/memory';
import { STARTING_SETS } from '@keen-gauge/core/demand/starting-sets';
import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { plainSurvey, readSurvey } from '@keen-gauge/core/survey/opening/read';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { quantile, report } from './report';

/** 60 loads on 25 nodes, three phases, a clamp-managed charger at the end of it. */
export function largeSurvey(): Survey {
  const survey = blankSurvey();
  survey.supply.phases = 3;
  const chain = survey.supply.nodes.length;
  for (let index = chain; index < 25; index += 1) {
    const parent = index < chain + 4 ? 'board' : `node-${chain + (index % 4)}`;
    survey.supply.nodes.push({ id: `node-${index}`, kind: 'device', ratingA: 32, fedFrom: parent });
  }
  const loads = STARTING_SETS[1]?.loads ?? [];
  for (let index = 0; index < 60; index += 1) {
    const load = loads[index % loads.length];
    const phase = (['L1', 'L2', 'L3'] as const)[index % 3] ?? 'L1';
    if (load) survey.loads.push({ ...load, id: `load-${index}`, nodeId: `node-${chain + (index % 20)}`, phase });
  }
  const limiter = { kind: 'clamp', setPointA: 60, failSafeA: 6, clampNodeId: 'meter' } as const;
  survey.proposals = [{ id: 'car', kind: 'vehicle-charger', ratedA: 32, phases: 3, nodeId: 'node-24', limiter }];
  return survey;
}

/** One field typed in, another value on every round. */
export const EDITS: readonly (readonly [string, (survey: Survey, at: number) => Survey])[] = [
  ['the town', (survey, at) => ({ ...survey, place: { ...survey.place, town: `Town ${at}` } })],
  [
    'a load',
    (survey, at) => ({
      ...survey,
      loads: survey.loads.map((load, index) => (index === at % 60 ? { ...load, powerW: 500 + (at % 400) } : load)),
    }),
  ],
  [
    'the set-point',
    (survey, at) => ({
      ...survey,
      proposals: survey.proposals.map((each) => ({ ...each, limiter: { ...each.limiter, setPointA: 40 + (at % 30) } })),
    }),
  ],
];

/** The first rounds are spent compiling; what is measured is the page or server that has been open for a minute. */
const WARMING = 2000;
const ROUNDS = 5000;

/** How long one assessment takes, as on every keystroke. */
export function benchAssess(): void {
  const read = readSurvey(largeSurvey());
  if ('faults' in read) throw new Error(JSON.stringify(read.faults));
  let sink = 0;
  const idle = timed(() => {
    for (let at = 0; at < 200_000; at += 1) sink += at % 7;
  });
  const calm = `median ${quantile(idle, 0.5).toFixed(2)} ms, 99th percentile ${quantile(idle, 0.99).toFixed(2)} ms`;
  console.log(`this machine, on a loop that always does the same (${sink > 0 ? 'done' : ''}): ${calm}`);
  const times = timed(() => assess(read.survey, gbDefault));
  report('assess(), 60 loads in 25 nodes, 99th percentile', quantile(times, 0.99), 'ms', 2);
  for (const [what, edited] of EDITS) {
    const memory = new Memory();
    let at = 0;
    const survey = plainSurvey(read.survey);
    const times = timed(() => assess(edited(survey, (at += 1)), gbDefault, memory));
    report(`  ${what} edited, the rest remembered, median`, quantile(times, 0.5), 'ms', 0.3);
    report(`  ${what} edited, the rest remembered, 99th percentile`, quantile(times, 0.99), 'ms', 2);
  }
  const medianOf = (work: () => unknown): string => `${quantile(timed(work), 0.5).toFixed(2)} ms`;
  report('  whole, median', quantile(times, 0.5), 'ms', 1);
  console.log(`  with all working written out ${medianOf(() => JSON.stringify(assess(read.survey, gbDefault)))}`);
  console.log(`  reading and checking such a survey whole, median ${medianOf(() => readSurvey(largeSurvey()))}`);
}

/** Milliseconds of each round once the compiler has settled. */
function timed(work: () => unknown): number[] {
  const times: number[] = [];
  for (let at = 0; at < ROUNDS; at += 1) {
    const start = performance.now();
    work();
    if (at >= WARMING) times.push(performance.now() - start);
  }
  return times;
}
