import type { Quote, QuoteBasis } from '@keen-gauge/core/quote/quote';
import { createHash, randomBytes } from 'node:crypto';
import type { Pool, PoolClient } from 'pg';
import type { Actor } from '../db/firm-scope';

export type QuotationState = 'made' | 'sent' | 'accepted' | 'declined' | 'withdrawn' | 'replaced';

/** A quotation as it was made. */
export interface Quotation {
  readonly id: string;
  readonly jobId: string;
  readonly number: number;
  readonly revision: number;
  readonly quote: Quote;
  readonly fingerprint: string;
  readonly surveySeq: number;
  readonly validUntil: string;
  readonly state: QuotationState;
  readonly madeBy: string;
  readonly madeAt: Date;
}

/** What a customer answered to one. */
export interface QuotationAnswer {
  readonly id: string;
  readonly quotationId: string;
  readonly kind: 'accepted' | 'declined' | 'question';
  readonly choice: string | null;
  readonly name: string;
  readonly words: string | null;
  readonly fingerprint: string;
  readonly cameAt: Date;
}

const COLUMNS = `q.id, q.job_id AS "jobId", q.number, q.revision, q.quote, q.fingerprint, q.survey_seq AS "surveySeq",
  q.valid_until::text AS "validUntil", q.state, p.name AS "madeBy", q.made_at AS "madeAt" FROM quotations q JOIN people p ON p.id = q.made_by`;

type Row = Omit<Quotation, 'quote'> & { readonly quote: string };
const opened = (row: Row): Quotation => ({ ...row, quote: JSON.parse(row.quote) as Quote });

/** How a quotation’s number is written. */
export const quotationNumber = (number: number): string => `Q-${String(number).padStart(4, '0')}`;

/** A job’s quotations, newest first. */
export async function quotationsOf(db: PoolClient, jobId: string): Promise<Quotation[]> {
  const found = await db.query<Row>(`SELECT ${COLUMNS} WHERE q.job_id = $1 ORDER BY q.number DESC, q.revision DESC`, [
    jobId,
  ]);
  return found.rows.map(opened);
}

export async function quotationById(db: PoolClient, id: string, forUpdate = false): Promise<Quotation | undefined> {
  const found = await db.query<Row>(`SELECT ${COLUMNS} WHERE q.id = $1${forUpdate ? ' FOR UPDATE OF q' : ''}`, [id]);
  return found.rows[0] && opened(found.rows[0]);
}

export async function takeQuotationNumber(db: PoolClient, firmId: string): Promise<number> {
  const taken = await db.query<{ number: number }>(
    'UPDATE firms SET next_quotation_number = next_quotation_number + 1 WHERE id = $1 RETURNING next_quotation_number - 1 AS number',
    [firmId],
  );
  return taken.rows[0]?.number ?? 1;
}

export interface NewQuotation {
  readonly id: string;
  readonly jobId: string;
  readonly number: number;
  readonly revision: number;
  readonly quote: Quote;
  readonly basis: QuoteBasis;
  readonly surveySeq: number;
}

/** Adds a quotation. Those before it under its number that nobody has answered are replaced by it. */
export async function insertQuotation(db: PoolClient, { firmId, personId }: Actor, made: NewQuotation): Promise<void> {
  const text = JSON.stringify(made.quote);
  await db.query(
    `UPDATE quotations SET state = 'replaced' WHERE job_id = $1 AND number = $2 AND state IN ('made', 'sent')`,
    [made.jobId, made.number],
  );
  await db.query(
    `INSERT INTO quotations (id, firm_id, job_id, number, revision, quote, fingerprint, basis, survey_seq, valid_until, made_by)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)`,
    [
      made.id,
      firmId,
      made.jobId,
      made.number,
      made.revision,
      text,
      createHash('sha256').update(text).digest('hex'),
      JSON.stringify(made.basis),
      made.surveySeq,
      made.quote.validUntil,
      personId,
    ],
  );
}

export async function setState(db: PoolClient, id: string, state: QuotationState): Promise<void> {
  await db.query('UPDATE quotations SET state = $2 WHERE id = $1', [id, state]);
}

/** Everything answered to the quotations of a job, in the order it came. */
export async function answersOfQuotations(db: PoolClient, jobId: string): Promise<QuotationAnswer[]> {
  const found = await db.query<QuotationAnswer>(
    `SELECT a.id, a.quotation_id AS "quotationId", a.kind, a.choice, a.name, a.words, a.fingerprint, a.came_at AS "cameAt"
       FROM quotation_answers a JOIN quotations q ON q.id = a.quotation_id WHERE q.job_id = $1 ORDER BY a.came_at, a.id`,
    [jobId],
  );
  return found.rows;
}

/** Adds an answer; false where that very answer is there already. */
export async function addAnswer(
  db: PoolClient,
  firmId: string,
  { id, quotationId, kind, choice, name, words, fingerprint }: Omit<QuotationAnswer, 'cameAt'>,
): Promise<boolean> {
  const added = await db.query(
    `INSERT INTO quotation_answers (id, firm_id, quotation_id, kind, choice, name, words, fingerprint)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8) ON CONFLICT (id) DO NOTHING`,
    [id, firmId, quotationId, kind, choice, name, words, fingerprint],
  );
  return added.rowCount === 1;
}

const digestOf = (token: string): Buffer => createHash('sha256').update(`quotation ${token}`).digest();

/** Draws what stands in a link, besides what was drawn before; kept as a digest only. */
export async function drawQuotationToken(db: PoolClient, firmId: string, quotationId: string): Promise<string> {
  const token = randomBytes(24).toString('base64url');
  await db.query('INSERT INTO quotation_tokens (digest, firm_id, quotation_id) VALUES ($1, $2, $3)', [
    digestOf(token),
    firmId,
    quotationId,
  ]);
  return token;
}

/** Which quotation a token opens; undefined where none, for whatever reason. */
export async function quotationOfToken(
  pool: Pool,
  token: string,
): Promise<{ readonly quotationId: string; readonly firmId: string } | undefined> {
  const found = await pool.query<{ quotationId: string; firmId: string }>(
    'SELECT quotation_id AS "quotationId", firm_id AS "firmId" FROM firm_of_quotation($1)',
    [digestOf(token)],
  );
  return found.rows[0];
}

export async function documentOf(db: PoolClient, id: string): Promise<Buffer | undefined> {
  const found = await db.query<{ pdf: Buffer }>('SELECT pdf FROM quotation_files WHERE quotation_id = $1', [id]);
  return found.rows[0]?.pdf;
}

export async function storeDocument(db: PoolClient, firmId: string, id: string, pdf: Buffer): Promise<void> {
  await db.query(
    'INSERT INTO quotation_files (quotation_id, firm_id, pdf) VALUES ($1, $2, $3) ON CONFLICT DO NOTHING',
    [id, firmId, pdf],
  );
}
