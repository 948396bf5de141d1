import { escapeLiteral, type Pool, type PoolClient } from 'pg';

/** Who is asking: every query on their behalf runs inside their own firm. */
export interface Asker {
  readonly firmId: string;
  readonly personId: string;
}

/**
 * Runs work in one transaction that can see one firm's rows and no other's; rolls back and rethrows on any error.
 * The setting is local to the transaction, so a pooled connection carries nothing over.
 */
export async function inFirm<T>(
  pool: Pool,
  { firmId }: Pick<Asker, 'firmId'>,
  work: (db: PoolClient) => Promise<T>,
): Promise<T> {
  const db = await pool.connect();
  try {
    // One trip rather than two; only a value that is escaped goes into the text.
    await db.query(`BEGIN; SET LOCAL app.firm_id = ${escapeLiteral(firmId)}`);
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
