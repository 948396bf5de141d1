import type { PlannedPool } from '@keen-gauge/core/pool/plan';
import type { fuseUnder, PlayedSeed, WorstNight } from '@keen-gauge/core/pool/play';
import type { Policy } from '@keen-gauge/core/pool/policies';
import { wrap, type Remote } from 'comlink';
import type { PoolWorker } from './pool-worker';

export type FuseUnder = ReturnType<typeof fuseUnder>;

/** A pool played on the workers this machine has room for. Stopping it ends them at once; what was played is kept by whoever was told. */
export class PoolRun {
  private readonly workers: { readonly worker: Worker; readonly remote: Remote<PoolWorker> }[] = [];
  private isStopped = false;

  constructor(
    private readonly planned: PlannedPool,
    most = 4,
  ) {
    const room = Math.max(1, Math.min(most, navigator.hardwareConcurrency));
    for (let at = 0; at < room; at += 1) {
      const worker = new Worker(new URL('./pool-worker.ts', import.meta.url), { type: 'module' });
      this.workers.push({ worker, remote: wrap<PoolWorker>(worker) });
    }
  }

  /** Plays every policy under every seed, seed by seed so that no policy is behind; each is told as it is done. */
  async play(policies: readonly Policy[], seeds: number, done: (played: PlayedSeed) => void): Promise<void> {
    const waiting = Array.from({ length: seeds }, (_each, at) =>
      policies.map((policy) => ({ policy, seed: at + 1 })),
    ).flat();
    await Promise.all(
      this.workers.map(async ({ remote }) => {
        for (let next = waiting.shift(); next && !this.isStopped; next = waiting.shift()) {
          const played = await remote.seed(this.planned, next.policy, next.seed);
          if (!this.hasStopped()) done(played);
        }
      }),
    );
  }

  async night(policy: Policy, seed: number, cars: number): Promise<WorstNight | null> {
    return (await this.workers[0]?.remote.night(this.planned, policy, seed, cars)) ?? null;
  }

  /** The highest current and the warmth of a fuse in a year of so many cars; null once it is stopped. */
  async fuse(policy: Policy, seed: number, cars: number, ratingA: number): Promise<FuseUnder | null> {
    return (await this.workers[0]?.remote.fuse(this.planned, policy, seed, cars, ratingA)) ?? null;
  }

  private hasStopped(): boolean {
    return this.isStopped;
  }

  stop(): void {
    this.isStopped = true;
    for (const { worker } of this.workers) worker.terminate();
  }
}
