import { escapeLiteral, type Pool, type PoolClient, type QueryResult } from 'pg';
import { isUnavailable } from './unavailable';

/** In whose name something is entered. */
export interface Actor {
  readonly firmId: string;
  readonly personId: string;
}

/** Somebody signed in, under the access they had when they signed in: a later one ends it. */
export interface Asker extends Actor {
  readonly generation: number;
}

/** Whose rows are worked on: a firm's, and where a person asks, only while their access still holds. */
export type Scope = { readonly firmId: string } | Asker;

/** Somebody's access has been taken away, or changed, since they signed in. */
export class AccessEnded extends Error {}

/**
 * Runs work in one transaction that can see one firm's rows and no other's; rolls back and rethrows on any error. Where a person asks, the same
 * transaction first sees whether they are still of the firm and their access is the one they signed in under (`AccessEnded` otherwise). The setting is
 * local to the transaction, so a pooled connection carries nothing over.
 */
export async function inFirm<T>(pool: Pool, scope: Scope, work: (db: PoolClient) => Promise<T>): Promise<T> {
  const db = await pool.connect();
  let broken: Error | undefined;
  try {
    // One trip rather than three; only values that are escaped go into the text.
    const begun: unknown = await db.query(
      `BEGIN; SET LOCAL app.firm_id = ${escapeLiteral(scope.firmId)}${'generation' in scope ? `; ${accessOf(scope)}` : ''}`,
    );
    if ('generation' in scope && (begun as QueryResult[]).at(-1)?.rowCount !== 1) throw new AccessEnded();
    const result = await work(db);
    // After a statement that failed PostgreSQL answers COMMIT with ROLLBACK and no error: what was to be stored is not.
    const ended = await db.query('COMMIT');
    if (ended.command !== 'COMMIT') throw new Error('A statement had failed and the transaction was taken back.');
    return result;
  } catch (error) {
    if (isUnavailable(error)) broken = error as Error;
    else await db.query('ROLLBACK').catch((failed: unknown) => (broken = failed as Error));
    throw error;
  } finally {
    // A connection that was cut or given up is not handed to the next.
    db.release(broken);
  }
}

function accessOf({ personId, generation }: Asker): string {
  return `SELECT 1 FROM people WHERE id = ${escapeLiteral(personId)} AND generation = ${escapeLiteral(String(generation))}::integer AND ended_at IS NULL`;
}
