import type { TrialFault } from '@keen-gauge/core/survey/words/trial-words';
import type { Moment } from '@keen-gauge/core/trial/evening';
import type { LogDays } from '@keen-gauge/core/trial/log-year';
import type { TrialPlan } from '@keen-gauge/core/trial/plan';
import type { YearFigures } from '@keen-gauge/core/trial/year';
import { wrap, type Remote } from 'comlink';
import type { TrialWorker } from './trial-worker';

/** A trial on the workers this machine has room for. Stopping it ends them at once; what was played is kept. */
export class TrialRun {
  private readonly workers: { readonly worker: Worker; readonly remote: Remote<TrialWorker> }[] = [];
  private readonly ready: Promise<unknown>;
  private stopped = false;

  /** `days` are the log's, where the plan takes its house from one. */
  constructor(
    private readonly plan: TrialPlan,
    days: LogDays,
    most = 4,
  ) {
    const room = Math.max(1, Math.min(most, navigator.hardwareConcurrency));
    for (let at = 0; at < room; at += 1) {
      const worker = new Worker(new URL('./trial-worker.ts', import.meta.url), { type: 'module' });
      this.workers.push({ worker, remote: wrap<TrialWorker>(worker) });
    }
    this.ready =
      Object.keys(days).length === 0
        ? Promise.resolve()
        : Promise.all(this.workers.map(({ remote }) => remote.takeDays(days)));
  }

  /** Plays so many household-years, each told as it is done: by index, a figure for each way. */
  async play(years: number, done: (index: number, figures: readonly YearFigures[]) => void): Promise<void> {
    await this.ready;
    let next = 0;
    await Promise.all(
      this.workers.map(async ({ remote }) => {
        while (next < years && !this.isStopped()) {
          const index = next;
          next += 1;
          const figures = await remote.year(this.plan, index);
          if (!this.isStopped()) done(index, figures);
        }
      }),
    );
  }

  async evening(
    at: { readonly index: number; readonly day: number; readonly way: number },
    fault: TrialFault | undefined,
  ): Promise<Moment[]> {
    await this.ready;
    return (await this.workers[0]?.remote.evening(this.plan, at, fault)) ?? [];
  }

  private isStopped(): boolean {
    return this.stopped;
  }

  /** Ends the workers; a year under way is dropped. */
  stop(): void {
    this.stopped = true;
    for (const { worker } of this.workers) worker.terminate();
  }
}
