import { USUAL_DRIVERS, type Stays } from '@keen-gauge/core/pool/drivers';
import { carsOf } from '@keen-gauge/core/pool/growth';
import { leftOf, poolYear, type Left, type Outlet, type PoolTerms } from '@keen-gauge/core/pool/pool-year';
import { POLICIES, type Policy } from '@keen-gauge/core/pool/policies';
import { LINE_ORDERS } from '@keen-gauge/core/pool/rotation';
import { LINE_BITS } from '@keen-gauge/core/pool/share';
import { planOfSet } from '@keen-gauge/core/testing/homes';
import { householdYear } from '@keen-gauge/core/trial/household';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { report } from './report';

const OUTLETS = 100;
const SEEDS = 10;
/** Played so often, and the quickest counts: the machine is not ours alone. */
const ROUNDS = 3;
const SET_POINT_A = 160;

interface Played {
  readonly ms: number;
  readonly deliveredKwh: number;
  readonly daysShort: number;
}

/** What two homes on each line leave of 160 A, and a hundred outlets on turned lines: every minute another current. */
function rowOf(seed: number): {
  readonly outlets: readonly Outlet[];
  readonly stays: readonly Stays[];
  readonly left: Left;
} {
  const { appliances, sums, terms } = planOfSet('gas-heated', 1);
  const homes = Array.from({ length: 4 }, (_each, home) =>
    householdYear({ appliances, sums: sums.length, nominalV: terms.nominalV }, seed * 100 + home),
  );
  const otherA = [0, 1, 2].map((line) => {
    const [one, two] = [homes[line]?.sums[0], homes[(line + 1) % 4]?.sums[0]];
    return Float32Array.from(one ?? [], (amperes, at) => amperes + (two?.[at] ?? 0));
  });
  return {
    outlets: Array.from({ length: OUTLETS }, (_each, at) => ({
      id: `o${at}`,
      lines: LINE_ORDERS[at % 3] ?? [],
      mostA: 32,
    })),
    stays: carsOf({ kinds: USUAL_DRIVERS }, OUTLETS, seed),
    left: leftOf(SET_POINT_A, otherA),
  };
}

const termsOf = (policy: Policy): PoolTerms => ({ policy, leastA: 6, turnMin: 15, nominalV: 230 });

/** A hundred outlets for a year by the minute under each policy, beside the same steps in plain C. */
export function benchPool(): void {
  const row = rowOf(1);
  const ran = POLICIES.map((policy) => ({ policy, ours: play(row, policy), plain: inC(row, policy) }));
  for (const { policy, ours, plain } of ran) {
    const agree =
      plain && plain.daysShort === ours.daysShort && Math.abs(plain.deliveredKwh - ours.deliveredKwh) < 1e-3;
    console.log(
      `  ${policy}: ${ours.ms.toFixed(0)} ms a year${plain ? ` against ${plain.ms.toFixed(0)} in C, ${agree ? 'the same figures' : 'THE FIGURES DIFFER'}` : ''}`,
    );
  }
  const ours = ran.reduce((sum, each) => sum + each.ours.ms, 0);
  report(
    `${OUTLETS} outlets × 1 year × 4 policies × ${SEEDS} seeds at one minute, on two cores`,
    (ours * SEEDS) / 2 / 1000,
    's',
    20,
  );
  const plain = ran.reduce((sum, each) => sum + (each.plain?.ms ?? NaN), 0);
  if (Number.isNaN(plain)) console.log('  no gcc here: the plain C program was not run');
  else report('  against plain C (gcc -O2), one core each', ours / plain, 'times', 2);
  report('  memory of the whole process', process.memoryUsage().rss / 1e6, 'MB', 400);
}

function play({ outlets, stays, left }: ReturnType<typeof rowOf>, policy: Policy): Played {
  let best: Played | undefined;
  for (let round = 0; round < ROUNDS; round += 1) {
    const began = performance.now();
    const { cars, daysShort } = poolYear(outlets, stays, left, termsOf(policy));
    const ms = performance.now() - began;
    const deliveredKwh = cars.reduce((sum, car) => sum + car.deliveredKwh, 0);
    if (!best || ms < best.ms) best = { ms, deliveredKwh, daysShort: daysShort.length };
  }
  return best ?? { ms: NaN, deliveredKwh: NaN, daysShort: NaN };
}

/** The same in C; null where there is no compiler. */
function inC({ outlets, stays, left }: ReturnType<typeof rowOf>, policy: Policy): Played | null {
  const directory = mkdtempSync(join(tmpdir(), 'kg-pool-'));
  try {
    const program = join(directory, 'pool');
    const made = spawnSync('gcc', ['-O2', '-o', program, 'bench/pool.c', '-lm'], { encoding: 'utf8' });
    if (made.status !== 0) return null;
    const cars = stays.map(({ arrivesAt, leavesAt, wantsKwh, onboardA, lines }, at) => {
      const outlet = outlets[at];
      const used = (outlet?.lines ?? []).slice(0, lines);
      const bits = used.reduce((sum, line) => sum | LINE_BITS[line], 0);
      const days = Array.from(arrivesAt, (from, stay) => `${from} ${leavesAt[stay] ?? 0} ${wantsKwh[stay] ?? 0}`);
      const perAMinute = (used.length * 230) / 60_000;
      return `${bits} ${Math.min(outlet?.mostA ?? 0, onboardA)} ${perAMinute} ${arrivesAt.length}\n${days.join('\n')}`;
    });
    const input = `${POLICIES.indexOf(policy)} ${cars.length}\n${cars.join('\n')}\n${left.byLine.map((line) => line.join(' ')).join('\n')}\n`;
    const { stdout } = spawnSync(program, { input, encoding: 'utf8', maxBuffer: 1e8 });
    const [ms = NaN, deliveredKwh = NaN, daysShort = NaN] = stdout.trim().split(' ').map(Number);
    return { ms, deliveredKwh, daysShort };
  } finally {
    rmSync(directory, { recursive: true, force: true });
  }
}
