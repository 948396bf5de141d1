import { USUAL_DRIVERS } from '@keen-gauge/core/pool/drivers';
import { playCars, type PoolPlan } from '@keen-gauge/core/pool/growth';
import { leftOf } from '@keen-gauge/core/pool/pool-year';
import { POLICIES } from '@keen-gauge/core/pool/policies';
import { LINE_ORDERS } from '@keen-gauge/core/pool/rotation';
import { planOfSet } from '@keen-gauge/core/testing/homes';
import { householdYear } from '@keen-gauge/core/trial/household';
import { report } from './report';

const OUTLETS = 100;
const SEEDS = 10;
/** Played here and counted up to all of them. */
const PLAYED = 2;

/** A hundred outlets on rotated lines behind 160 A, with a block of homes besides: every minute another current. */
function poolPlan(seed: number): Omit<PoolPlan, 'terms'> {
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
    kinds: USUAL_DRIVERS,
    left: leftOf(160, otherA),
  };
}

/** A hundred outlets for a year by the minute under four policies and ten seeds. */
export function benchPool(): void {
  const plan = poolPlan(1);
  for (const policy of POLICIES) playCars({ ...plan, terms: terms(policy) }, 20, 1);
  for (const policy of POLICIES) {
    const began = performance.now();
    let shortShare = 0;
    for (let seed = 1; seed <= PLAYED; seed += 1)
      shortShare = playCars({ ...plan, terms: terms(policy) }, OUTLETS, seed).shortShare;
    console.log(
      `  ${policy}: ${((performance.now() - began) / PLAYED).toFixed(0)} ms a year, ${(shortShare * 100).toFixed(0)} % of mornings short`,
    );
  }
  const began = performance.now();
  for (const policy of POLICIES)
    for (let seed = 1; seed <= PLAYED; seed += 1) playCars({ ...plan, terms: terms(policy) }, OUTLETS, seed);
  const each = (performance.now() - began) / PLAYED / POLICIES.length;
  report(
    `${OUTLETS} outlets × 1 year × 4 policies × ${SEEDS} seeds at one minute, on two cores`,
    (each * SEEDS * 4) / 2 / 1000,
    's',
    20,
  );
  console.log(`  memory ${(process.memoryUsage().rss / 1e6).toFixed(0)} MB (400 MB meant)`);
}

const terms = (policy: (typeof POLICIES)[number]): PoolPlan['terms'] => ({
  policy,
  leastA: 6,
  turnMin: 15,
  nominalV: 230,
});
