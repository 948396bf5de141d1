import type { Pool, PoolClient } from 'pg';

/** Who is asking: every query on their behalf runs inside their own firm. */
export interface Asker {
  readonly firmId: string;
  readonly personId: string;
}

/**
 * Runs work in one transaction that can see one firm's rows and no other's; rolls back and rethrows on any error.
 * The setting is local to the transaction, so a pooled connection carries nothing over.
 */
export async function inFirm<T>(pool: Pool, { firmId }: Pick<Asker, 'firmId'>, work: (db: PoolClient) => Promise<T>): Promise<T> {
  const db = await pool.connect();
  try {
    await db.query('BEGIN');
    await db.query("SELECT set_config('app.firm_id', $1, true)", [firmId]);
    const result = await work(db);
    await db.query('COMMIT');
    return result;
  } catch (error) {
    await db.query('ROLLBACK').catch(() => undefined);
    throw error;
  } finally {
    db.release();
  }
}
