import type { CustomerSays } from '@keen-gauge/core/customer/answer';
import type { CustomerStep } from '@keen-gauge/core/customer/steps';
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { Pool, PoolClient } from 'pg';
import type { Actor } from '../db/firm-scope';

/** A step as it was sent: its words of that day. */
export type SentStep = Pick<CustomerStep, 'id' | 'ask' | 'how' | 'parts' | 'choices'>;

/** A link that lets a customer answer about one job. */
export interface CustomerLink {
  readonly id: string;
  readonly jobId: string;
  readonly steps: readonly SentStep[];
  readonly madeBy: string;
  readonly madeAt: Date;
  readonly expiresAt: Date;
  readonly revokedAt: Date | null;
  readonly openedAt: Date | null;
  readonly doneAt: Date | null;
}

/** What a customer answered in one step. */
export interface Answer {
  readonly id: string;
  readonly step: string;
  readonly round: number;
  readonly says: CustomerSays;
  readonly cameAt: Date;
  readonly state: 'came' | 'taken' | 'again' | 'set-aside';
  readonly reason: string | null;
  readonly decidedBy: string | null;
}

/** A picture that came, without its bytes. */
export interface CustomerPicture {
  readonly id: string;
  readonly step: string;
  readonly round: number;
}

const digestOf = (token: string): Buffer => createHash('sha256').update(`customer ${token}`).digest();

const LINK = `l.id, l.job_id AS "jobId", l.steps, p.name AS "madeBy", l.made_at AS "madeAt", l.expires_at AS "expiresAt",
  l.revoked_at AS "revokedAt", l.opened_at AS "openedAt", l.done_at AS "doneAt" FROM customer_links l JOIN people p ON p.id = l.made_by`;

/** Makes a link to a job; one made before opens nothing any more. */
export async function insertLink(
  db: PoolClient,
  asker: Actor,
  jobId: string,
  steps: readonly SentStep[],
  days: number,
): Promise<string> {
  const id = randomUUID();
  await revokeLinks(db, jobId);
  await db.query(
    `INSERT INTO customer_links (id, firm_id, job_id, steps, made_by, expires_at) VALUES ($1, $2, $3, $4, $5, now() + make_interval(days => $6))`,
    [id, asker.firmId, jobId, JSON.stringify(steps), asker.personId, days],
  );
  return id;
}

/** Shuts the links of a job; how many were open. */
export async function revokeLinks(db: PoolClient, jobId: string): Promise<number> {
  const shut = await db.query('UPDATE customer_links SET revoked_at = now() WHERE job_id = $1 AND revoked_at IS NULL', [
    jobId,
  ]);
  return shut.rowCount ?? 0;
}

/** Draws what stands in a link, besides what was drawn before; kept as a digest only. */
export async function drawCustomerToken(db: PoolClient, firmId: string, linkId: string): Promise<string> {
  const token = randomBytes(24).toString('base64url');
  await db.query('INSERT INTO customer_tokens (digest, firm_id, link_id) VALUES ($1, $2, $3)', [
    digestOf(token),
    firmId,
    linkId,
  ]);
  return token;
}

/** Which link a token opens; undefined where none, for whatever reason. */
export async function linkOfCustomer(
  pool: Pool,
  token: string,
): Promise<{ readonly linkId: string; readonly firmId: string } | undefined> {
  const found = await pool.query<{ linkId: string; firmId: string }>(
    'SELECT link_id AS "linkId", firm_id AS "firmId" FROM firm_of_customer($1)',
    [digestOf(token)],
  );
  return found.rows[0];
}

export async function linkById(db: PoolClient, id: string): Promise<CustomerLink | undefined> {
  const found = await db.query<CustomerLink>(`SELECT ${LINK} WHERE l.id = $1`, [id]);
  return found.rows[0];
}

/** The newest link of a job, open or not. */
export async function linkOfJob(db: PoolClient, jobId: string): Promise<CustomerLink | undefined> {
  const found = await db.query<CustomerLink>(`SELECT ${LINK} WHERE l.job_id = $1 ORDER BY l.made_at DESC LIMIT 1`, [
    jobId,
  ]);
  return found.rows[0];
}

export async function answersOf(db: PoolClient, linkId: string): Promise<Answer[]> {
  const found = await db.query<Answer>(
    `SELECT a.id, a.step, a.round, a.says, a.came_at AS "cameAt", a.state, a.reason, p.name AS "decidedBy"
       FROM customer_answers a LEFT JOIN people p ON p.id = a.decided_by WHERE a.link_id = $1 ORDER BY a.came_at`,
    [linkId],
  );
  return found.rows;
}

export async function picturesOf(db: PoolClient, linkId: string): Promise<CustomerPicture[]> {
  const found = await db.query<CustomerPicture>(
    'SELECT id, step, round FROM customer_pictures WHERE link_id = $1 ORDER BY came_at, id',
    [linkId],
  );
  return found.rows;
}

/** An answer of whichever link of a job, with what was asked in the words it was asked in. */
export interface JobAnswer extends Answer {
  readonly linkId: string;
  readonly asked: SentStep;
}

/** Everything that came from a job’s customer, by the link that is open and by those before it. */
export async function answersOfJob(db: PoolClient, jobId: string): Promise<JobAnswer[]> {
  const found = await db.query<JobAnswer>(
    `SELECT a.id, a.link_id AS "linkId", a.step, a.round, a.says, a.came_at AS "cameAt", a.state, a.reason, p.name AS "decidedBy",
            (SELECT asked FROM jsonb_array_elements(l.steps) asked WHERE asked ->> 'id' = a.step) AS asked
       FROM customer_answers a JOIN customer_links l ON l.id = a.link_id LEFT JOIN people p ON p.id = a.decided_by
      WHERE l.job_id = $1 ORDER BY a.came_at`,
    [jobId],
  );
  return found.rows;
}

/** The pictures of a job’s customer that nobody has decided about, by whichever link. */
export async function picturesOfJob(
  db: PoolClient,
  jobId: string,
): Promise<(CustomerPicture & { readonly linkId: string })[]> {
  const found = await db.query<CustomerPicture & { linkId: string }>(
    `SELECT c.id, c.link_id AS "linkId", c.step, c.round FROM customer_pictures c JOIN customer_links l ON l.id = c.link_id
      WHERE l.job_id = $1 ORDER BY c.came_at, c.id`,
    [jobId],
  );
  return found.rows;
}

/** Of which round the next answer to a step is, and why it is asked again where it is. */
export function roundOf(
  answers: readonly Pick<Answer, 'step' | 'state' | 'reason' | 'round'>[],
  step: string,
): { readonly round: number; readonly again: string | null; readonly isIn: boolean } {
  const of = answers.filter((each) => each.step === step);
  const sentBack = of.filter(({ state }) => state === 'again');
  const round = sentBack.length + 1;
  return {
    round,
    again: sentBack.find((each) => each.round === round - 1)?.reason ?? null,
    isIn: of.some((each) => each.round === round),
  };
}

/** Puts an answer in, or in place of one that nobody has decided about; false where somebody has. */
export async function putAnswer(
  db: PoolClient,
  firmId: string,
  linkId: string,
  answer: { readonly id: string; readonly step: string; readonly round: number; readonly says: CustomerSays },
): Promise<boolean> {
  const put = await db.query(
    `INSERT INTO customer_answers (id, firm_id, link_id, step, round, says) VALUES ($1, $2, $3, $4, $5, $6)
     ON CONFLICT (link_id, step, round) DO UPDATE SET id = $1, says = $6, came_at = now() WHERE customer_answers.state = 'came'`,
    [answer.id, firmId, linkId, answer.step, answer.round, JSON.stringify(answer.says)],
  );
  return put.rowCount === 1;
}

/** Keeps the pictures of a step and round that belong to its answer; others of it were taken back by the customer. */
export async function keepOnly(
  db: PoolClient,
  linkId: string,
  { step, round }: { readonly step: string; readonly round: number },
  ids: readonly string[],
): Promise<number> {
  await db.query(
    'DELETE FROM customer_pictures WHERE link_id = $1 AND step = $2 AND round = $3 AND NOT (id = ANY ($4))',
    [linkId, step, round, ids],
  );
  const kept = await db.query<{ count: number }>(
    'SELECT count(*)::int AS count FROM customer_pictures WHERE link_id = $1 AND step = $2 AND round = $3',
    [linkId, step, round],
  );
  return kept.rows[0]?.count ?? 0;
}

/** Puts a picture in that has been decoded and encoded anew; one that is there already stays. */
export async function insertPicture(
  db: PoolClient,
  firmId: string,
  linkId: string,
  { id, step, round }: CustomerPicture,
  picture: { readonly full: Uint8Array; readonly thumb: Uint8Array },
): Promise<void> {
  await db.query(
    `INSERT INTO customer_pictures (id, firm_id, link_id, step, round, full_jpg, thumb_jpg) VALUES ($1, $2, $3, $4, $5, $6, $7)
     ON CONFLICT DO NOTHING`,
    [id, firmId, linkId, step, round, Buffer.from(picture.full), Buffer.from(picture.thumb)],
  );
}

/** How much a link has sent. */
export async function weightOf(db: PoolClient, linkId: string): Promise<{ pictures: number; bytes: number }> {
  const found = await db.query<{ pictures: number; bytes: number }>(
    'SELECT count(*)::int AS pictures, coalesce(sum(octet_length(full_jpg)), 0)::int AS bytes FROM customer_pictures WHERE link_id = $1',
    [linkId],
  );
  return found.rows[0] ?? { pictures: 0, bytes: 0 };
}

/** Decides about an answer, once; its pictures go, unless they are still to be looked at. */
export async function decide(
  db: PoolClient,
  personId: string,
  linkId: string,
  answerId: string,
  to: { readonly state: 'taken' | 'again' | 'set-aside'; readonly reason?: string },
): Promise<boolean> {
  const decided = await db.query<{ step: string; round: number }>(
    `UPDATE customer_answers SET state = $4, reason = $5, decided_by = $3, decided_at = now()
      WHERE id = $1 AND link_id = $2 AND state = 'came' RETURNING step, round`,
    [answerId, linkId, personId, to.state, to.reason ?? null],
  );
  const [answer] = decided.rows;
  if (!answer) return false;
  await db.query('DELETE FROM customer_pictures WHERE link_id = $1 AND step = $2 AND round = $3', [
    linkId,
    answer.step,
    answer.round,
  ]);
  return true;
}
