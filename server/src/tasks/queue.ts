import type { Pool, PoolClient } from 'pg';
import { inFirm, type Actor } from '../db/firm-scope';

/** The kinds of work done in the background. */
export const TASK_KINDS = [
  'erase',
  'hand-in',
  'make-pack',
  'print-picture',
  'remind',
  'resummarise',
  'retain',
  'send-mail',
  'write-diary',
] as const;
export type TaskKind = (typeof TASK_KINDS)[number];

/** A task taken up, until it is done or given back. */
export interface Task {
  readonly id: string;
  readonly firmId: string;
  readonly kind: TaskKind;
  readonly about: string;
  readonly personId: string | null;
  /** Counting this one. */
  readonly attempts: number;
  readonly claim: string;
}

/** How long a task is held without a word from who holds it, seconds. */
export const LEASE_S = 15;

/**
 * Asks for a task in the transaction that makes it needed: neither is there without the other. Asked for again while it waits it is one; while it is being done it
 * is done once more.
 */
export async function askFor(
  db: PoolClient,
  scope: { readonly firmId: string; readonly personId?: string },
  kind: TaskKind,
  about: string,
): Promise<void> {
  await db.query(
    `INSERT INTO tasks (firm_id, kind, about, person_id) VALUES ($1, $2, $3, $4)
     ON CONFLICT (firm_id, kind, about) DO UPDATE
        SET again = coalesce(tasks.claimed_until > now(), false), next_at = least(tasks.next_at, now()), attempts = 0, stuck_at = NULL, trouble = NULL`,
    [scope.firmId, kind, about, scope.personId ?? null],
  );
}

/** Takes a task back that is needed no more and that nobody is at. */
export async function dropTask(db: PoolClient, kind: TaskKind, about: string): Promise<void> {
  await db.query(
    'DELETE FROM tasks WHERE kind = $1 AND about = $2 AND (claimed_until IS NULL OR claimed_until < now())',
    [kind, about],
  );
}

/** Takes the next task of these kinds that is due, of whichever firm; undefined where none is. */
export async function takeTask(pool: Pool, kinds: readonly TaskKind[]): Promise<Task | undefined> {
  const taken = await pool.query<Task>(
    'SELECT id, firm_id AS "firmId", kind, about, person_id AS "personId", attempts, claim FROM claim_task($1, $2)',
    [kinds, LEASE_S],
  );
  return taken.rows[0];
}

/** Says that a task is still being worked on. */
export async function stillAtIt(pool: Pool, task: Task): Promise<void> {
  await inFirm(pool, task, (db) =>
    db.query('UPDATE tasks SET claimed_until = now() + make_interval(secs => $3) WHERE id = $1 AND claim = $2', [
      task.id,
      task.claim,
      LEASE_S,
    ]),
  );
}

/** A task is done: it goes, unless it was asked for again meanwhile. */
export async function finish(pool: Pool, task: Task): Promise<void> {
  await inFirm(pool, task, async (db) => {
    const gone = await db.query('DELETE FROM tasks WHERE id = $1 AND claim = $2 AND NOT again', [task.id, task.claim]);
    if (gone.rowCount === 0) await giveBack(db, task, { afterS: 0, failed: false });
  });
}

/** A task is not done yet: it is taken up again after so many seconds; `trouble` says why it failed, where it did. */
export async function putOff(
  pool: Pool,
  task: Task,
  afterS: number,
  trouble: { readonly says: string; readonly stuck: boolean } | null,
): Promise<void> {
  await inFirm(pool, task, (db) => giveBack(db, task, { afterS, failed: trouble !== null, ...(trouble ?? {}) }));
}

async function giveBack(
  db: PoolClient,
  { id, claim }: Task,
  now: { readonly afterS: number; readonly failed: boolean; readonly says?: string; readonly stuck?: boolean },
): Promise<void> {
  await db.query(
    `UPDATE tasks SET claim = NULL, claimed_until = NULL,
            next_at = CASE WHEN again THEN now() ELSE now() + make_interval(secs => $3) END,
            attempts = CASE WHEN $4 THEN attempts ELSE 0 END, trouble = $5,
            stuck_at = CASE WHEN $6 THEN coalesce(stuck_at, now()) END
      WHERE id = $1 AND claim = $2`,
    [id, claim, now.afterS, now.failed, now.says ?? null, now.stuck ?? false],
  );
}

/** A task as a supervisor sees it. */
export interface StuckTask {
  readonly id: string;
  readonly kind: TaskKind;
  readonly about: string;
  readonly attempts: number;
  readonly trouble: string | null;
  readonly stuckAt: Date;
  readonly nextAt: Date;
}

/** The firm's tasks that have failed often, longest first. */
export async function stuckTasks(db: PoolClient): Promise<StuckTask[]> {
  const found = await db.query<StuckTask>(
    `SELECT id, kind, about, attempts, trouble, stuck_at AS "stuckAt", next_at AS "nextAt"
       FROM tasks WHERE stuck_at IS NOT NULL ORDER BY stuck_at LIMIT 200`,
  );
  return found.rows;
}

/** Takes a stuck task up again now; false where it is none of the firm's, or done meanwhile. */
export async function tryAgain(db: PoolClient, id: string): Promise<boolean> {
  const found = await db.query(
    'UPDATE tasks SET next_at = now(), attempts = 0 WHERE id = $1 AND stuck_at IS NOT NULL',
    [id],
  );
  return found.rowCount === 1;
}

/** In whose name a task is done; a task that is somebody's always says whose. */
export function actorOf({ firmId, personId, kind }: Task): Actor {
  if (personId === null) throw new Error(`A task of kind ${kind} is in nobody’s name.`);
  return { firmId, personId };
}
