import type { Change } from '@keen-gauge/core/record/changes';
import { openStored } from '@keen-gauge/core/survey/opening/open-stored';
import type { Survey } from '@keen-gauge/core/survey/survey';
import type { PoolClient } from 'pg';
import type { Actor } from '../db/firm-scope';
import type { JobSummary } from '../jobs/summary';

/** The newest revision of a survey and its document. */
export interface Head {
  readonly survey: Survey;
  readonly revisionId: string;
  readonly seq: number;
  readonly place: string;
}

/** The head of a job's survey; `forUpdate` holds it until the transaction ends, so that saves take turns. */
export async function headOf(db: PoolClient, jobId: string, forUpdate = false): Promise<Head | undefined> {
  const found = await db.query<Omit<Head, 'survey'> & { survey: unknown }>(
    `SELECT j.survey, j.revision_id AS "revisionId", j.revision_seq AS seq, j.place
       FROM jobs j
      WHERE j.id = $1 ${forUpdate ? 'FOR UPDATE OF j' : ''}`,
    [jobId],
  );
  const [row] = found.rows;
  return row && { ...row, survey: openStored(row.survey) };
}

export interface NewRevision {
  readonly id: string;
  readonly jobId: string;
  readonly seq: number;
  readonly parentId: string;
  readonly changes: readonly Change[];
  readonly survey: Survey;
  readonly summary: JobSummary;
}

/** Appends a revision and moves the head to it, in one statement. */
export async function appendRevision(db: PoolClient, asker: Actor, revision: NewRevision): Promise<void> {
  await db.query(
    `WITH added AS (
       INSERT INTO revisions (id, firm_id, job_id, seq, parent_id, person_id, changes)
       VALUES ($1, $2, $3, $4, $5, $6, $7) RETURNING job_id)
     UPDATE jobs SET survey = $8, revision_id = $1, revision_seq = $4, route = $9, next_question = $10, place = $11,
            state = CASE WHEN state = 'to-survey' THEN 'surveying' ELSE state END, changed_at = now()
       FROM added WHERE jobs.id = added.job_id`,
    [
      revision.id,
      asker.firmId,
      revision.jobId,
      revision.seq,
      revision.parentId,
      asker.personId,
      JSON.stringify(revision.changes),
      revision.survey,
      revision.summary.route,
      revision.summary.nextQuestion,
      revision.summary.place,
    ],
  );
}

/** Whether this very revision is part of the job already: the save was sent twice. Another under its id is not it. */
export async function hasRevision(
  db: PoolClient,
  jobId: string,
  { id, changes }: { readonly id: string; readonly changes: readonly Change[] },
): Promise<boolean> {
  const found = await db.query('SELECT 1 FROM revisions WHERE id = $1 AND job_id = $2 AND changes = $3::jsonb', [
    id,
    jobId,
    JSON.stringify(changes),
  ]);
  return found.rowCount !== 0;
}

export interface HistoryEntry {
  readonly id: string;
  readonly seq: number;
  readonly person: string;
  readonly madeAt: Date;
  readonly changes: readonly Change[];
}

/** Who changed what, newest first, before a given revision number. */
export async function history(db: PoolClient, jobId: string, before: number, limit: number): Promise<HistoryEntry[]> {
  const found = await db.query<HistoryEntry>(
    `SELECT r.id, r.seq, p.name AS person, r.made_at AS "madeAt", r.changes
       FROM revisions r JOIN people p ON p.id = r.person_id
      WHERE r.job_id = $1 AND r.seq < $2 AND r.seq > 0
      ORDER BY r.seq DESC LIMIT $3`,
    [jobId, before, limit],
  );
  return found.rows;
}
