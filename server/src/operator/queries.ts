import type { PoolClient } from 'pg';
import type { Actor } from '../db/firm-scope';
import { askFor } from '../tasks/queue';

export type SubmissionState = 'waiting' | 'handed-in' | 'answered' | 'returned' | 'stopped';

export interface Submission {
  readonly id: string;
  readonly jobId: string;
  readonly packId: string;
  readonly packNumber: number;
  readonly route: string;
  /** Of the meter point; empty where it is not known. */
  readonly area: string;
  readonly state: SubmissionState;
  /** How often it has been tried to hand it in. */
  readonly tries: number;
  /** An instance has it in hand this moment. */
  readonly underWay: boolean;
  readonly reference: string | null;
  readonly askedBy: string;
  readonly askedAt: Date;
}

export interface Message {
  readonly at: Date;
  readonly direction: 'out' | 'in' | 'trouble';
  readonly says: string;
}

const COLUMNS = `s.id, s.job_id AS "jobId", s.pack_id AS "packId", k.number AS "packNumber", k.route, s.area, s.state,
  s.tries, coalesce(t.claimed_until > now(), false) AS "underWay", s.reference, p.name AS "askedBy", s.asked_at AS "askedAt"`;
const FROM = `submissions s JOIN packs k ON k.id = s.pack_id JOIN people p ON p.id = s.asked_by
  LEFT JOIN tasks t ON t.firm_id = s.firm_id AND t.kind = 'hand-in' AND t.about = s.id::text`;

export interface Conversation extends Submission {
  /** The operator has answered, whether or not it is asked on. */
  readonly answered: boolean;
  readonly messages: readonly Message[];
}

/** Everything handed in of a job, newest first, each with its conversation. */
export async function conversationsOf(db: PoolClient, jobId: string): Promise<Conversation[]> {
  const found = await db.query<Conversation>(
    `SELECT ${COLUMNS},
            EXISTS (SELECT 1 FROM submission_messages m WHERE m.submission_id = s.id AND m.remote_id IS NOT NULL) AS answered,
            (SELECT coalesce(json_agg(json_build_object('at', m.at, 'direction', m.direction, 'says', m.says) ORDER BY m.id), '[]')
               FROM submission_messages m WHERE m.submission_id = s.id) AS messages
       FROM ${FROM} WHERE s.job_id = $1 ORDER BY s.asked_at DESC`,
    [jobId],
  );
  return found.rows;
}

/** One submission; held until the transaction ends where it is to be changed. */
export async function submissionById(db: PoolClient, id: string, forUpdate = false): Promise<Submission | undefined> {
  const found = await db.query<Submission>(
    `SELECT ${COLUMNS} FROM ${FROM} WHERE s.id = $1 ${forUpdate ? 'FOR UPDATE OF s' : ''}`,
    [id],
  );
  return found.rows[0];
}

/** Puts a pack in the outbox; false where it is there already, by whomever. */
export async function insertSubmission(
  db: PoolClient,
  asker: Actor,
  submission: { id: string; jobId: string; packId: string; area: string },
): Promise<boolean> {
  const { id, jobId, packId, area } = submission;
  const added = await db.query(
    `INSERT INTO submissions (id, firm_id, job_id, pack_id, area, asked_by) VALUES ($1, $2, $3, $4, $5, $6)
     ON CONFLICT DO NOTHING`,
    [id, asker.firmId, jobId, packId, area, asker.personId],
  );
  if (added.rowCount !== 1) return false;
  await askFor(db, asker, 'hand-in', id);
  return true;
}

/** Enters what was said; false where an answer of that id has been entered before. */
export async function addMessage(
  db: PoolClient,
  firmId: string,
  submissionId: string,
  message: Pick<Message, 'direction' | 'says'> & { readonly remoteId?: string },
): Promise<boolean> {
  const added = await db.query(
    `INSERT INTO submission_messages (firm_id, submission_id, direction, says, remote_id) VALUES ($1, $2, $3, $4, $5)
     ON CONFLICT (submission_id, remote_id) DO NOTHING`,
    [firmId, submissionId, message.direction, message.says, message.remoteId ?? null],
  );
  return added.rowCount === 1;
}

/** Enters what went wrong, unless the last thing said is the same: a desk out of order for a week is one line. */
export async function addTrouble(db: PoolClient, firmId: string, submissionId: string, says: string): Promise<void> {
  const last = await db.query<{ says: string }>(
    'SELECT says FROM submission_messages WHERE submission_id = $1 ORDER BY id DESC LIMIT 1',
    [submissionId],
  );
  if (last.rows[0]?.says !== says) await addMessage(db, firmId, submissionId, { direction: 'trouble', says });
}

/** Counts a try to hand a pack in, before it is made: one that an instance began and never ended has been made. */
export async function countTry(db: PoolClient, id: string): Promise<void> {
  await db.query('UPDATE submissions SET tries = tries + 1 WHERE id = $1', [id]);
}

/** How a submission stands now. */
export async function settle(db: PoolClient, id: string, state: SubmissionState, reference?: string): Promise<void> {
  await db.query('UPDATE submissions SET state = $2, reference = coalesce($3, reference) WHERE id = $1', [
    id,
    state,
    reference ?? null,
  ]);
}
