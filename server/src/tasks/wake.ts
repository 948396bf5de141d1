import { Client, type Pool } from 'pg';
import type { Logger } from 'pino';

/** Hears when there is work; a connection of its own, since one that listens is of no use for anything else. */
export interface Wake {
  /** Resolves when there may be work, and after so many ms in any case. */
  readonly next: (mostMs: number) => Promise<void>;
  readonly close: () => Promise<void>;
}

const AGAIN_MS = 1000;

/** Listens for tasks; where the connection is cut it is made again, and meanwhile everybody looks by themselves. */
export function listenForTasks(pool: Pool, log: Logger): Wake {
  const waiting = new Set<() => void>();
  const wakeAll = (): void => {
    for (const each of [...waiting]) each();
  };
  let [client, closed]: [Client | null, boolean] = [null, false];
  let timer: NodeJS.Timeout | undefined;

  const again = (): void => {
    client = null;
    if (!closed) timer = setTimeout(() => void listen(), AGAIN_MS);
  };
  const listen = async (): Promise<void> => {
    const made = new Client({ ...pool.options, statement_timeout: 0, query_timeout: 0 });
    let over = false;
    const ended = (error?: Error): void => {
      if (over) return;
      over = true;
      if (error) log.warn({ err: error }, 'not told of tasks');
      made.end().catch(() => undefined);
      again();
    };
    made.on('error', ended);
    made.on('end', () => {
      ended();
    });
    made.on('notification', wakeAll);
    try {
      await made.connect();
      await made.query('LISTEN tasks');
      client = made;
      wakeAll();
    } catch (error) {
      ended(error instanceof Error ? error : undefined);
    }
  };
  const first = listen();

  return {
    next: (mostMs) =>
      new Promise((resolve) => {
        const done = (): void => {
          clearTimeout(late);
          waiting.delete(done);
          resolve();
        };
        const late = setTimeout(done, mostMs);
        waiting.add(done);
        if (closed) done();
      }),
    close: async () => {
      closed = true;
      clearTimeout(timer);
      wakeAll();
      await first;
      await client?.end().catch(() => undefined);
    },
  };
}
