import { wrap } from 'comlink';
import type { Reckon } from './asker';
import type { WhatIfWorker } from './worker';

interface Running {
  readonly reckon: Reckon;
  /** Never settles but by refusing: the worker could not be loaded, as after a deployment, or broke down. */
  readonly broken: Promise<never>;
}

/** Reckons in a worker that is started when something is first asked. One that breaks down fails what was asked of it; the next question starts another. */
export function startedOnce(start: () => Worker): Reckon {
  let running: Running | undefined;
  const started = (): Running => {
    const worker = start();
    const broken = new Promise<never>((_resolve, reject) => {
      worker.addEventListener('error', (event) => {
        running = undefined;
        worker.terminate();
        reject(new Error(event.message));
      });
    });
    // Whoever waits hears of it; nobody may be waiting.
    broken.catch(() => undefined);
    return { reckon: wrap<WhatIfWorker>(worker).reckon as unknown as Reckon, broken };
  };
  return (what, survey, rules, more) => {
    const { reckon, broken } = (running ??= started());
    return Promise.race([reckon(what, survey, rules, more), broken]);
  };
}
