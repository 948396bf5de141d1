import type { AnswerOfOperator } from '@keen-gauge/core/calendar/operator-answers';
import type { ClockId } from '@keen-gauge/core/calendar/clocks';
import { JOB_STATES, type JobOrder, type JobState } from '@keen-gauge/core/calendar/job-list';
import { ukDay } from '@keen-gauge/core/calendar/days';
import type { Survey } from '@keen-gauge/core/survey/survey';
import type { PoolClient } from 'pg';
import { takenId } from '../http/problem';
import type { JobSummary } from './summary';

export interface JobRow {
  readonly id: string;
  readonly number: number;
  readonly state: JobState;
  readonly place: string;
  readonly wanted: string;
  readonly customer: string | null;
  readonly route: string;
  readonly nextQuestion: string | null;
  /** What the operator answered last, to what was sent last; null while it has not. */
  readonly answer: AnswerOfOperator | null;
  readonly changedAt: Date;
  readonly createdBy: string;
  /** Whoever has it now; null where nobody does. */
  readonly assignedTo: { readonly id: string; readonly name: string } | null;
  /** The next day something is due or booked, and what; `late` where what was due has not been done. */
  readonly nextOn: string | null;
  readonly nextWhat: ClockId | null;
  readonly late: boolean;
  readonly archived: boolean;
  /** Answers of the customer that nobody has looked at yet. */
  readonly fromCustomer: number;
  /** How its newest quotation stands; null where it has none. */
  readonly quotation: 'made' | 'sent' | 'accepted' | 'declined' | 'withdrawn' | null;
}

/** The next day of a job, seen from a day ($1): what is due, late or not, or a visit that is still to come. */
const NEXT_ON = `LEAST(j.due_on, CASE WHEN j.survey_on >= $1::date THEN j.survey_on END, CASE WHEN j.fitting_on >= $1::date THEN j.fitting_on END)`;

const COLUMNS = `j.id, j.number, j.state, j.place, j.wanted, j.customer, j.route, j.next_question AS "nextQuestion", j.answer,
  j.changed_at AS "changedAt", p.name AS "createdBy",
  CASE WHEN a.id IS NOT NULL THEN json_build_object('id', a.id, 'name', a.name) END AS "assignedTo",
  (${NEXT_ON})::text AS "nextOn",
  CASE ${NEXT_ON} WHEN j.due_on THEN j.due_what WHEN j.survey_on THEN 'survey-visit' WHEN j.fitting_on THEN 'fitting-visit' END AS "nextWhat",
  coalesce(j.state <> 'closed' AND j.due_on < $1::date, false) AS late, j.archived_at IS NOT NULL AS archived,
  (SELECT count(*)::int FROM customer_links l JOIN customer_answers c ON c.link_id = l.id WHERE l.job_id = j.id AND c.state = 'came') AS "fromCustomer",
  (SELECT q.state FROM quotations q WHERE q.job_id = j.id AND q.state <> 'replaced' ORDER BY (q.state = 'accepted') DESC, q.number DESC, q.revision DESC LIMIT 1) AS quotation`;
const FROM = 'FROM jobs j JOIN people p ON p.id = j.created_by LEFT JOIN people a ON a.id = j.assigned_to';

/** What the list can be ordered by; the same job never stands on two pages, since its number decides what is left. */
const ORDERS = {
  changed: 'j.changed_at DESC',
  next: `${NEXT_ON} ASC NULLS LAST`,
  stage: `array_position(ARRAY[${JOB_STATES.map((state) => `'${state}'`).join(', ')}], j.state)`,
  route: `array_position(ARRAY['hold', 'ask-then-fit', 'fit-then-notify'], j.route)`,
  person: 'a.name ASC NULLS FIRST',
  place: 'lower(j.place)',
  number: 'j.number DESC',
} as const satisfies Readonly<Record<JobOrder, string>>;

/** What of the firm’s jobs is to be seen, and in what order. What is left out asks for nothing. */
export interface JobsAsked {
  /** Every word has to stand in number, place, description or state, or in what a caller says: name, telephone, postcode, meter point. */
  readonly words: readonly string[];
  readonly state?: JobState | undefined;
  readonly route?: string | undefined;
  /** Whose they are; `nobody` for those nobody has. */
  readonly person?: string | undefined;
  readonly late: boolean;
  /** Those whose quotation was accepted and that are not fitted yet. */
  readonly toBuy: boolean;
  readonly archived: boolean;
  readonly order: JobOrder;
  /** Stage by stage, in the order within each. */
  readonly byStage: boolean;
  readonly limit: number;
  readonly offset: number;
}

export interface JobsFound {
  readonly jobs: JobRow[];
  readonly total: number;
  /** How many there are of each stage, whichever stage is shown. */
  readonly stages: Partial<Record<JobState, number>>;
}

/** A page of the firm’s jobs as asked for, seen from a day, with how many there are of each stage: the jobs are looked through once for both. */
export async function findJobs(db: PoolClient, today: string, asked: JobsAsked): Promise<JobsFound> {
  const values: unknown[] = [today];
  const put = (value: unknown): string => `$${values.push(value)}`;
  const wanted = [`j.archived_at IS ${asked.archived ? 'NOT ' : ''}NULL`];
  if (asked.words.length > 0)
    wanted.push(
      `('KG-' || lpad(j.number::text, 4, '0') || ' ' || j.place || ' ' || j.wanted || ' ' || j.state || ' ' || j.found_by) ILIKE ALL (${put(
        asked.words.map((word) => `%${word.replace(/[\\%_]/g, '\\$&')}%`),
      )})`,
    );
  if (asked.route !== undefined) wanted.push(`j.route = ${put(asked.route)}`);
  if (asked.person === 'nobody') wanted.push('j.assigned_to IS NULL');
  else if (asked.person !== undefined) wanted.push(`j.assigned_to = ${put(asked.person)}::uuid`);
  if (asked.late) wanted.push(`j.state <> 'closed' AND j.due_on < $1::date`);
  if (asked.toBuy)
    wanted.push(
      `j.state NOT IN ('fitted', 'closed') AND EXISTS (SELECT 1 FROM quotations q WHERE q.job_id = j.id AND q.state = 'accepted')`,
    );
  const ofStage = asked.state === undefined ? '' : `WHERE j.state = ${put(asked.state)}`;
  const order = [...(asked.byStage ? [ORDERS.stage] : []), ORDERS[asked.order], ORDERS.changed, ORDERS.number].join(
    ', ',
  );
  const found = await db.query<{ stages: JobsFound['stages']; at: string | null } & JobRow>(
    `WITH found AS MATERIALIZED (SELECT j.id, j.state FROM jobs j WHERE ${wanted.join(' AND ')}),
          counted AS (SELECT coalesce(json_object_agg(state, jobs), '{}') AS stages
                        FROM (SELECT state, count(*)::int AS jobs FROM found GROUP BY state) AS each),
          page AS (SELECT j.id, row_number() OVER (ORDER BY ${order}) AS at
                     FROM found f JOIN jobs j ON j.id = f.id LEFT JOIN people a ON a.id = j.assigned_to ${ofStage}
                    ORDER BY at LIMIT ${put(asked.limit)} OFFSET ${put(asked.offset)})
     SELECT counted.stages, page.at, job.*
       FROM counted LEFT JOIN page ON true LEFT JOIN LATERAL (SELECT ${COLUMNS} ${FROM} WHERE j.id = page.id) AS job ON true
      ORDER BY page.at`,
    values,
  );
  const stages = found.rows[0]?.stages ?? {};
  const total =
    asked.state === undefined ? Object.values(stages).reduce((sum, jobs) => sum + jobs, 0) : (stages[asked.state] ?? 0);
  return { jobs: found.rows.flatMap(({ stages: _stages, at, ...job }) => (at === null ? [] : [job])), total, stages };
}

export async function jobById(db: PoolClient, id: string): Promise<JobRow | undefined> {
  const found = await db.query<JobRow>(`SELECT ${COLUMNS} ${FROM} WHERE j.id = $2`, [ukDay(new Date()), id]);
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
    `INSERT INTO jobs (id, firm_id, number, place, wanted, created_by, assigned_to, survey, revision_id, route, next_question)
     VALUES ($1, $2, $3, $4, $5, $6, (SELECT id FROM people WHERE id = $6 AND role <> 'office'), $7, $8, $9, $10)`,
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

/** Gives a job to somebody of the firm, or to nobody. */
export async function assignJob(db: PoolClient, id: string, personId: string | null): Promise<void> {
  await db.query('UPDATE jobs SET assigned_to = $2, changed_at = now() WHERE id = $1', [id, personId]);
}

/** Puts a job away, or takes it out again. It stays whole, and is found among the archived. */
export async function archiveJob(db: PoolClient, id: string, archived: boolean): Promise<void> {
  await db.query('UPDATE jobs SET archived_at = CASE WHEN $2 THEN coalesce(archived_at, now()) END WHERE id = $1', [
    id,
    archived,
  ]);
}
