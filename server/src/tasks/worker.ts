import { setTimeout } from 'node:timers/promises';
import type { Pool } from 'pg';
import type { Logger } from 'pino';
import { isUnavailable } from '../db/unavailable';
import type { Metrics } from '../signals/metrics';
import { backOffS, STUCK_AFTER } from './back-off';
import { finish, LEASE_S, putOff, stillAtIt, takeTask, type Task, type TaskKind } from './queue';
import { listenForTasks } from './wake';

/** What came of a task: done, or to be looked at again after so many seconds, with why where something failed. */
export type Outcome = 'done' | { readonly afterS: number; readonly trouble?: string };

/**
 * Does a task. May be begun again at any moment after any step, here or on another instance: what it stores it stores in transactions that see whether it is there
 * already.
 */
export type Handler = (task: Task) => Promise<Outcome>;
export type Handlers = Readonly<Record<TaskKind, Handler>>;

/** What has to wait for the world outside does not keep waiting what is done here. */
const LANES: readonly (readonly TaskKind[])[] = [
  ['hand-in'],
  ['hand-in'],
  ['hand-in'],
  ['send-mail'],
  ['make-pack', 'print-picture', 'remind', 'resummarise', 'write-diary'],
  ['erase', 'retain'],
  ['make-pack', 'write-diary'],
];

/** Looked after in any case, ms: what is due at a later time wakes nobody. */
const LOOK_MS = 1000;

export interface Workers {
  readonly stop: () => Promise<void>;
}

/** Works through tasks as they come, a few at a time, until stopped; what is under way then is finished. Any number of instances may do so on one database. */
export function startWorkers(pool: Pool, log: Logger, metrics: Metrics, handlers: Handlers): Workers {
  const wake = listenForTasks(pool, log);
  let stopped = false;
  const run = async (kinds: readonly TaskKind[]): Promise<void> => {
    while (!stopped) {
      const worked = await workOnce(pool, log, metrics, handlers, kinds).catch((error: unknown) => {
        log.warn({ err: error }, 'no task taken up');
        return false;
      });
      if (!worked) await wake.next(LOOK_MS);
    }
  };
  const running = Promise.all(LANES.map(run));
  return {
    stop: async () => {
      stopped = true;
      await wake.close();
      await running;
    },
  };
}

/** Takes up one task of these kinds and does it; false where none is due. */
export async function workOnce(
  pool: Pool,
  log: Logger,
  metrics: Metrics,
  handlers: Handlers,
  kinds: readonly TaskKind[],
): Promise<boolean> {
  const task = await takeTask(pool, kinds);
  if (!task) return false;
  const started = Date.now();
  const told = (outcome: 'done' | 'again' | 'failed'): void => {
    metrics.task(task.kind, outcome, (Date.now() - started) / 1000);
  };
  const line = { task: task.id, kind: task.kind, firm: task.firmId, attempts: task.attempts };
  const over = new AbortController();
  void holdOn(pool, log, task, over.signal);
  try {
    const outcome = await handlers[task.kind](task);
    if (outcome === 'done') await finish(pool, task);
    else await putOff(pool, task, outcome.afterS, troubleOf(task, outcome.trouble));
    told(outcome === 'done' ? 'done' : outcome.trouble === undefined ? 'again' : 'failed');
    log.info({ ...line, ms: Date.now() - started }, 'task');
  } catch (error) {
    told('failed');
    log[isUnavailable(error) ? 'warn' : 'error']({ err: error, ...line }, 'task failed');
    // Where the database is away the claim runs out by itself.
    await putOff(
      pool,
      task,
      backOffS(task.attempts),
      troubleOf(task, 'Something went wrong here; it is in the log.'),
    ).catch(() => undefined);
  } finally {
    over.abort();
  }
  return true;
}

function troubleOf({ attempts }: Task, says: string | undefined): { says: string; stuck: boolean } | null {
  return says === undefined ? null : { says, stuck: attempts >= STUCK_AFTER };
}

/** Says again and again that a task is being worked on, so that no other takes it up; who dies stops saying so. */
async function holdOn(pool: Pool, log: Logger, task: Task, over: AbortSignal): Promise<void> {
  for (;;) {
    const on = await setTimeout((LEASE_S * 1000) / 3, true, { signal: over, ref: false }).catch(() => false);
    if (!on) return;
    await stillAtIt(pool, task).catch((error: unknown) => {
      log.warn({ err: error, task: task.id }, 'task not held on to');
    });
  }
}
