import { OPERATES_AT } from '@keen-gauge/core/management/fuse-warming';
import { planOfSet } from '@keen-gauge/core/testing/homes';
import { playDay } from '@keen-gauge/core/trial/play';
import { HABITS } from '@keen-gauge/core/trial/habits';
import { householdYear } from '@keen-gauge/core/trial/household';
import type { TrialPlan, TrialWay } from '@keen-gauge/core/trial/plan';
import { playYear } from '@keen-gauge/core/trial/year';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { report } from './report';

/** A gas-heated home on 60 A under six ways. */
function benchPlan(): TrialPlan {
  const plan = planOfSet('gas-heated', 1);
  const [sum = 0] = plan.parts[0]?.sums ?? [];
  const ways = [32, 25, 16, 10, 6].map((limitA): TrialWay => ({
    id: `fixed-${limitA}`,
    name: '',
    runs: [{ running: { kind: 'free', limitA }, clamps: [], pool: -1 }],
  }));
  const managed: TrialWay = {
    id: 'managed',
    name: '',
    runs: [
      {
        running: { kind: 'managed', limitA: 32, setPointA: 50, failSafeA: 6 },
        clamps: [{ setPointA: 50, sums: [sum] }],
        pool: 0,
      },
    ],
  };
  return { ...plan, parts: plan.parts.slice(0, 1).map((part) => ({ ...part, ratingA: 60 })), ways: [...ways, managed] };
}

/** Played so many at a time, ours and the C in turn, and the quickest of each counts: the machine is not ours alone. */
const YEARS = 8;
const ROUNDS = 6;

/** Household-years of a gas-heated home under six ways, in one thread, beside the same in plain C; and one evening. */
export function benchTrial(): void {
  const plan = benchPlan();
  play(plan, 3);
  const rounds = Array.from({ length: ROUNDS }, () => ({ ours: play(plan, YEARS), plain: inC(plan) }));
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
  const begin = performance.now();
  playDay(plan, { index: 0, day: 20, way: 5 }, undefined, {});
  report('One evening by the second, its year played first', performance.now() - begin, 'ms', 100);
}

interface Played {
  readonly ms: number;
  /** Added up over all years and ways: highest, delivered, warmth, minutes over, mornings short, pauses; and the houses’ energy. */
  readonly sums: readonly number[];
}

function play(plan: TrialPlan, years: number): Played {
  const sums = [0, 0, 0, 0, 0, 0, 0];
  const begin = performance.now();
  const { appliances, sums: followed, terms } = plan;
  for (let seed = 1; seed <= years; seed += 1) {
    const house = householdYear({ appliances, sums: followed.length, nominalV: terms.nominalV }, seed);
    for (const way of plan.ways) {
      const found = playYear(house, plan, way, seed);
      const figures = [
        found.highestA,
        found.deliveredKwh,
        found.warmest * OPERATES_AT,
        found.minutesOver,
        found.morningsShort,
        found.pauses,
        found.houseKwh / plan.ways.length,
      ];
      figures.forEach((figure, at) => (sums[at] = (sums[at] ?? 0) + figure));
    }
  }
  return { ms: performance.now() - begin, sums };
}

/** The same in C, compiled here and now; null where there is no compiler. */
function inC({ appliances, chargers, terms, parts, ways }: TrialPlan): Played | null {
  const folder = mkdtempSync(join(tmpdir(), 'keen-gauge-'));
  const needs = chargers[0]?.needs;
  if (!needs) return null;
  try {
    const made = spawnSync('gcc', ['-O2', '-o', join(folder, 'trial'), 'bench/trial.c', '-lm'], { stdio: 'inherit' });
    if (made.status !== 0) return null;
    const plan = [
      [1, YEARS, needs.kwhPerDay, needs.arrivesH, needs.leavesH, needs.onboardA, needs.lines],
      [terms.leastA, terms.restartMin, parts[0]?.ratingA ?? 0, terms.nominalV, appliances.length],
      ...appliances.flatMap(({ id, habit, currentA, mostA, caps }) => {
        const patterns = HABITS[habit];
        return [
          [id, currentA, mostA, caps.length, ...caps.flatMap(({ cell, capA }) => [cell, capA])],
          [patterns.length],
          ...patterns.flatMap((pattern) => {
            if (pattern.kind === 'steady') return [[1, 0, 0, 0, 0, ...pattern.share, 0]];
            if (pattern.kind !== 'uses') throw new Error('The plain C program plays uses and what is steady.');
            const { perDay, minutes, share, starts } = pattern;
            return [[0, ...perDay, ...minutes, ...share, starts.length], ...starts];
          }),
        ];
      }),
      [ways.length],
      ...ways.map(({ runs: [run] }) =>
        run?.running.kind === 'managed'
          ? [1, run.running.limitA, run.running.setPointA, run.running.failSafeA]
          : [0, run?.running.limitA ?? 0, 0, 0],
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
