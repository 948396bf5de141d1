import { connectedLoad } from '@keen-gauge/core/demand/connected';
import { STARTING_SETS } from '@keen-gauge/core/demand/starting-sets';
import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import { householdYear } from '@keen-gauge/core/trial/household';
import { playYear } from '@keen-gauge/core/trial/year';
import { report } from './report';

/** Household-years of a gas-heated home under six ways, in one thread; what two of them would take for a hundred. */
export function benchTrial(): void {
  const loads = (STARTING_SETS[0]?.loads ?? []).flatMap((load) => {
    const { currentA, count, class: kind } = connectedLoad(load, ['L1'], gbDefault);
    return currentA === null || kind === 'socket-circuit' ? [] : [{ class: kind, currentA, count }];
  });
  const needs = { kwhPerDay: 8.4, arrivesH: 17.75, leavesH: 6.75, onboardA: 32, phases: 1 } as const;
  const terms = { leastA: 6, restartMin: 3, ratingA: 60, nominalV: 230, clampLostShare: 0 };
  const rates = [32, 25, 16, 10, 6];
  const play = (seed: number): number => {
    const house = householdYear(loads, seed);
    let sink = 0;
    for (const limitA of rates) sink += playYear(house, needs, { kind: 'free', limitA }, terms, seed).highestA;
    return (
      sink + playYear(house, needs, { kind: 'managed', limitA: 32, setPointA: 50, failSafeA: 6 }, terms, seed).highestA
    );
  };
  for (let seed = 1; seed <= 3; seed += 1) play(seed);
  const start = performance.now();
  const years = 20;
  for (let seed = 1; seed <= years; seed += 1) play(seed);
  const each = (performance.now() - start) / years;
  report('100 household-years × 6 ways at one minute, on two cores', (each * 100) / 2 / 1000, 's', 6);
  console.log(
    `  ${each.toFixed(1)} ms a household-year in one thread; the plain C program it is to be held to is not written`,
  );
}
