import { connectedLoad } from '@keen-gauge/core/demand/connected';
import { STARTING_SETS } from '@keen-gauge/core/demand/starting-sets';
import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import type { Running } from '@keen-gauge/core/trial/controller';
import { eveningSeconds, playSeconds } from '@keen-gauge/core/trial/evening';
import { EVENING_TERMS } from '@keen-gauge/core/trial/play';
import { OPERATES_AT } from '@keen-gauge/core/management/fuse-warming';
import { ALWAYS_A, HABITS } from '@keen-gauge/core/trial/habits';
import { householdYear, type TrialLoad } from '@keen-gauge/core/trial/household';
import { playYear, type VehicleNeeds, type YearTerms } from '@keen-gauge/core/trial/year';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { report } from './report';

const needs: VehicleNeeds = { kwhPerDay: 8.4, arrivesH: 17.75, leavesH: 6.75, onboardA: 32, phases: 1 };
const terms: YearTerms = { leastA: 6, restartMin: 3, ratingA: 60, nominalV: 230, seesOwn: true, faultShare: 0 };
const ways: readonly Running[] = [
  ...[32, 25, 16, 10, 6].map((limitA): Running => ({ kind: 'free', limitA })),
  { kind: 'managed', limitA: 32, setPointA: 50, failSafeA: 6 },
];
/** Played so many at a time, ours and the C in turn, and the quickest of each counts: the machine is not ours alone. */
const YEARS = 8;
const ROUNDS = 6;

/** Household-years of a gas-heated home under six ways, in one thread, beside the same in plain C; and one evening. */
export function benchTrial(): void {
  const loads = (STARTING_SETS[0]?.loads ?? []).flatMap((load): TrialLoad[] => {
    const { currentA, count, class: kind } = connectedLoad(load, ['L1'], gbDefault);
    return currentA === null || kind === 'socket-circuit' ? [] : [{ class: kind, currentA, count }];
  });
  play(loads, 3);
  const rounds = Array.from({ length: ROUNDS }, () => ({ ours: play(loads, YEARS), plain: inC(loads) }));
  const quickest = (played: readonly (Played | null)[]): Played | null =>
    played.reduce((least, each) => (each && (!least || each.ms < least.ms) ? each : least), null);
  const [ours, plain] = [quickest(rounds.map((each) => each.ours)), quickest(rounds.map((each) => each.plain))];
  if (!ours) return;
  report('100 household-years × 6 ways at one minute, on two cores', (ours.ms / YEARS / 2 / 1000) * 100, 's', 6);
  if (plain === null) console.log('  no gcc here: the plain C program was not run');
  else {
    report('  against plain C (gcc -O2), one core each', ours.ms / plain.ms, 'times', 2);
    const agree = ours.sums.every((sum, at) => Math.abs(sum - (plain.sums[at] ?? NaN)) <= 1e-6 * Math.max(1, sum));
    console.log(
      `  ${(ours.ms / YEARS).toFixed(1)} ms a household-year against ${(plain.ms / YEARS).toFixed(1)}; ` +
        (agree ? 'the same figures' : `THE FIGURES DIFFER: ${ours.sums.join(' ')} against ${plain.sums.join(' ')}`),
    );
  }
  const house = householdYear(loads, 1);
  const begin = performance.now();
  const managed: Running = { kind: 'managed', limitA: 32, setPointA: 50, failSafeA: 6 };
  playSeconds(eveningSeconds(house, 20, needs, 1), managed, {
    ...terms,
    ...EVENING_TERMS,
    onboardA: 32,
    fault: undefined,
  });
  report('One evening by the second', performance.now() - begin, 'ms', 100);
}

interface Played {
  readonly ms: number;
  /** Added up over all years and ways: highest, delivered, warmth, minutes over, mornings short, pauses. */
  readonly sums: readonly number[];
}

function play(loads: readonly TrialLoad[], years: number): Played {
  const sums = [0, 0, 0, 0, 0, 0];
  const begin = performance.now();
  for (let seed = 1; seed <= years; seed += 1) {
    const house = householdYear(loads, seed);
    for (const way of ways) {
      const found = playYear(house, needs, way, terms, seed);
      const figures = [
        found.highestA,
        found.deliveredKwh,
        found.warmest * OPERATES_AT,
        found.minutesOver,
        found.morningsShort,
        found.pauses,
      ];
      figures.forEach((figure, at) => (sums[at] = (sums[at] ?? 0) + figure));
    }
  }
  return { ms: performance.now() - begin, sums };
}

/** The same in C, compiled here and now; null where there is no compiler. */
function inC(loads: readonly TrialLoad[]): Played | null {
  const folder = mkdtempSync(join(tmpdir(), 'keen-gauge-'));
  try {
    const made = spawnSync('gcc', ['-O2', '-o', join(folder, 'trial'), 'bench/trial.c', '-lm'], { stdio: 'inherit' });
    if (made.status !== 0) return null;
    const plan = [
      [1, YEARS, ...ALWAYS_A, needs.kwhPerDay, needs.arrivesH, needs.leavesH, needs.onboardA, needs.phases],
      [terms.leastA, terms.restartMin, terms.ratingA, terms.nominalV, loads.length],
      ...loads.flatMap(({ class: kind, currentA, count }) => {
        const { perDay, minutes, share, starts } = HABITS[kind];
        return [[currentA, count, ...perDay, ...minutes, ...share, starts.length], ...starts];
      }),
      [ways.length],
      ...ways.map((way) =>
        way.kind === 'free' ? [0, way.limitA, 0, 0] : [1, way.limitA, way.setPointA, way.failSafeA],
      ),
    ];
    const ran = spawnSync(join(folder, 'trial'), { input: plan.flat().join(' '), encoding: 'utf8' });
    if (ran.status !== 0) throw new Error('The plain C program could not read the plan.');
    const [ms = NaN, ...sums] = ran.stdout.trim().split(' ').map(Number);
    return { ms, sums };
  } finally {
    rmSync(folder, { recursive: true });
  }
}
