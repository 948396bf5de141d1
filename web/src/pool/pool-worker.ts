import type { PlannedPool } from '@keen-gauge/core/pool/plan';
import { fuseUnder, playSeed, worstNight, type PlayedSeed, type WorstNight } from '@keen-gauge/core/pool/play';
import type { Policy } from '@keen-gauge/core/pool/policies';
import { expose } from 'comlink';

const worker = {
  seed: (planned: PlannedPool, policy: Policy, seed: number): PlayedSeed => playSeed(planned, policy, seed),
  night: (planned: PlannedPool, policy: Policy, seed: number, cars: number): WorstNight | null =>
    worstNight(planned, policy, seed, cars),
  fuse: (
    planned: PlannedPool,
    policy: Policy,
    seed: number,
    cars: number,
    ratingA: number,
  ): ReturnType<typeof fuseUnder> => fuseUnder(planned, policy, seed, cars, ratingA),
};
export type PoolWorker = typeof worker;
expose(worker);
