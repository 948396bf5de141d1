import type { LogDay } from '@keen-gauge/core/demand/measured/log-days';
import type { Trace } from '@keen-gauge/core/demand/measured/downsample';
import type { LogMapping } from '@keen-gauge/core/demand/measured/mapping';
import type { Rules } from '@keen-gauge/core/rules/rules';
import type { Phase } from '@keen-gauge/core/survey/words/words';
import { proxy, wrap, type Remote } from 'comlink';
import type { LogReport, LogWorker, Preview } from './log-worker';

/** One log open in a worker of its own, off the page's thread; closing it stops whatever is under way. */
export class LogSession {
  private readonly worker = new Worker(new URL('./log-worker.ts', import.meta.url), { type: 'module' });
  private readonly remote: Remote<LogWorker> = wrap<LogWorker>(this.worker);

  /** A workbook's sheet by its name, or the first that holds a log. */
  open(file: Blob, sheet?: string): Promise<Preview> {
    return this.remote.open(file, sheet);
  }

  analyse(mapping: LogMapping, rules: Rules, progress: (done: number) => void): Promise<LogReport> {
    return this.remote.analyse(mapping, rules, proxy(progress));
  }

  trace(phase: Phase, from: number, to: number, steps: number): Promise<Trace | null> {
    return this.remote.trace(phase, from, to, steps);
  }

  days(phase: Phase): Promise<LogDay[]> {
    return this.remote.days(phase);
  }

  close(): void {
    this.worker.terminate();
  }
}
