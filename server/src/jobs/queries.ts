import type { AnswerOfOperator } from '@keen-gauge/core/calendar/operator-answers';
import type { Survey } from '@keen-gauge/core/survey/survey';
import type { PoolClient } from 'pg';
import { takenId } from '../http/problem';
import type { JobSummary } from './summary';

export interface JobRow {
  readonly id: string;
  readonly number: number;
  readonly state: 'to-survey' | 'surveying' | 'signed-off' | 'with-operator' | 'answered' | 'fitted' | 'closed';
  readonly place: string;
  readonly wanted: string;
  readonly route: string;
  readonly nextQuestion: string | null;
  /** What the operator answered last, to what was sent last; null while it has not. */
  readonly answer: AnswerOfOperator | null;
  readonly changedAt: Date;
  readonly createdBy: string;
}

const COLUMNS = `j.id, j.number, j.state, j.place, j.wanted, j.route, j.next_question AS "nextQuestion", j.answer,
  j.changed_at AS "changedAt", p.name AS "createdBy"`;

/** The firm's jobs, last changed first, that have every word searched for in number, place, description or state, or in what a caller says: name, telephone, postcode, meter point. */
export async function findJobs(
  db: PoolClient,
  words: readonly string[],
  limit: number,
  offset: number,
): Promise<{ jobs: JobRow[]; total: number }> {
  const found = await db.query<JobRow & { total: number }>(
    `SELECT ${COLUMNS}, count(*) OVER ()::int AS total
       FROM jobs j JOIN people p ON p.id = j.created_by
      WHERE ('KG-' || lpad(j.number::text, 4, '0') || ' ' || j.place || ' ' || j.wanted || ' ' || j.state || ' ' || j.found_by) ILIKE ALL ($1)
      ORDER BY j.changed_at DESC, j.number DESC
      LIMIT $2 OFFSET $3`,
    [words.map((word) => `%${word.replace(/[\\%_]/g, '\\$&')}%`), limit, offset],
  );
  return { jobs: found.rows.map(({ total: _total, ...job }) => job), total: found.rows[0]?.total ?? 0 };
}

export async function jobById(db: PoolClient, id: string): Promise<JobRow | undefined> {
  const found = await db.query<JobRow>(
    `SELECT ${COLUMNS} FROM jobs j JOIN people p ON p.id = j.created_by WHERE j.id = $1`,
    [id],
  );
  return found.rows[0];
}

export interface NewJob {
  readonly id: string;
  readonly firmId: string;
  readonly personId: string;
  readonly place: string;
  readonly wanted: string;
  readonly survey: Survey;
  readonly revisionId: string;
  readonly summary: JobSummary;
}

/** A job with its first, empty revision. The very job of that id already there is left as it is: the request was sent twice. Another under its id is refused. */
export async function insertJob(db: PoolClient, job: NewJob): Promise<void> {
  const { summary } = job;
  const known = await db.query<{ same: boolean }>(
    'SELECT created_by = $2 AND wanted = $3 AS same FROM jobs WHERE id = $1',
    [job.id, job.personId, job.wanted],
  );
  if (known.rows[0]?.same) return;
  if (known.rows[0]) throw takenId();
  const counted = await db.query<{ number: number }>(
    'UPDATE firms SET next_job_number = next_job_number + 1 WHERE id = $1 RETURNING next_job_number - 1 AS number',
    [job.firmId],
  );
  await db.query(
    `INSERT INTO jobs (id, firm_id, number, place, wanted, created_by, survey, revision_id, route, next_question)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)`,
    [
      job.id,
      job.firmId,
      counted.rows[0]?.number,
      job.place,
      job.wanted,
      job.personId,
      job.survey,
      job.revisionId,
      summary.route,
      summary.nextQuestion,
    ],
  );
  await db.query(
    `INSERT INTO revisions (id, firm_id, job_id, seq, person_id, changes) VALUES ($1, $2, $3, 0, $4, '[]')`,
    [job.revisionId, job.firmId, job.id, job.personId],
  );
}
