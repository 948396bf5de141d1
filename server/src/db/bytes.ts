import type { PoolClient } from 'pg';

/** So much at a time: a few milliseconds of the process that answers requests. */
const PIECE = 1_000_000;

/**
 * The bytes in one column of one row, piece by piece; undefined where there is no such row, or nothing in it. Read the usual way, several megabytes would come as twice as many letters at once and keep
 * everybody else waiting. `from` names the table and the row, by `$1`; neither it nor the column is ever a caller's.
 */
export async function bytesOf(
  db: PoolClient,
  column: 'bytes' | 'pdf' | 'bundle',
  from: string,
  value: string,
): Promise<Buffer | undefined> {
  const pieces: Buffer[] = [];
  for (let at = 1; ; at += PIECE) {
    const found = await db.query<{ piece: string | null; length: number | null }>(
      `SELECT encode(substring(${column} FROM $2 FOR $3), 'base64') AS piece, octet_length(${column}) AS length FROM ${from}`,
      [value, at, PIECE],
    );
    const [row] = found.rows;
    if (row?.piece == null || row.length === null) return undefined;
    pieces.push(Buffer.from(row.piece, 'base64'));
    if (at + PIECE > row.length) return pieces.length === 1 ? pieces[0] : Buffer.concat(pieces);
  }
}
