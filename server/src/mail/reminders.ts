import { addDays, ukDay, type Day } from '@keen-gauge/core/calendar/days';
import { randomUUID } from 'node:crypto';
import type { Pool, PoolClient } from 'pg';
import { inFirm } from '../db/firm-scope';
import { termsOf } from '../firm/queries';
import { jobNumber } from '../jobs/numbers';
import type { Mailer } from './mailer';
import { queueMail } from './queries';
import type { Quotation, QuotationAnswer } from '../quotations/queries';
import { answeredWords, calibrationWords, clockWords, quotationAnsweredWords } from './words';

/** Of these clocks somebody is reminded once they are late; a notice two days before. */
const CLOCKS = ['reply', 'chase', 'notice'] as const;
type Reminded = (typeof CLOCKS)[number];
const NOTICE_DAYS = 2;
const CALIBRATION_DAYS = 14;

/** Writes the reminders that are due in a firm and have not been written: to whoever has the job, or the supervisors. Drafts, where the firm sends none. */
export async function remind(
  pool: Pool,
  mailer: Mailer | undefined,
  firmId: string,
  today: Day = ukDay(new Date()),
): Promise<void> {
  await inFirm(pool, { firmId }, async (db) => {
    const draft = !mailer || (await termsOf(db)).mail !== 'send';
    const supervisors = await addressesOf(db, "role = 'supervisor'");
    for (const job of await clocksDue(db, today))
      for (const to of job.to === null ? supervisors : [job.to])
        await queueMail(db, firmId, {
          id: randomUUID(),
          kind: 'reminder',
          to,
          ...clockWords(job.what, jobNumber(job.number), job.dueOn, job.dueOn < today),
          jobId: job.id,
          madeBy: null,
          draft,
          about: `${job.what} ${job.id} ${job.dueOn} ${to}`.slice(0, 200),
        });
    for (const { id, name, serial, dueOn } of await calibrationsDue(db, today))
      for (const to of supervisors)
        await queueMail(db, firmId, {
          id: randomUUID(),
          kind: 'reminder',
          to,
          ...calibrationWords(name, serial, dueOn, dueOn < today),
          madeBy: null,
          draft,
          about: `calibration ${id} ${dueOn} ${to}`.slice(0, 200),
        });
  });
}

/** Tells whoever has the job, or the supervisors, that its customer has answered; once for each round of answers. */
export async function tellOfAnswers(
  db: PoolClient,
  firmId: string,
  { id, jobId }: { readonly id: string; readonly jobId: string },
  draft: boolean,
): Promise<void> {
  const found = await db.query<{ number: number; to: string | null; answers: number }>(
    `SELECT j.number, p.email AS "to", (SELECT count(*)::int FROM customer_answers a WHERE a.link_id = $2) AS answers
       FROM jobs j LEFT JOIN people p ON p.id = j.assigned_to AND p.ended_at IS NULL WHERE j.id = $1`,
    [jobId, id],
  );
  const [job] = found.rows;
  if (!job || job.answers === 0) return;
  for (const to of job.to === null ? await addressesOf(db, "role = 'supervisor'") : [job.to])
    await queueMail(db, firmId, {
      id: randomUUID(),
      kind: 'reminder',
      to,
      ...answeredWords(jobNumber(job.number)),
      jobId,
      madeBy: null,
      draft,
      about: `answers ${id} ${job.answers} ${to}`.slice(0, 200),
    });
}

/** Tells whoever has the job, or the supervisors, what its customer answered to a quotation; once for each answer. */
export async function tellOfQuotation(
  db: PoolClient,
  firmId: string,
  { jobId, quote }: Pick<Quotation, 'jobId' | 'quote'>,
  kind: QuotationAnswer['kind'],
  answerId: string,
  draft: boolean,
): Promise<void> {
  const found = await db.query<{ number: number; to: string | null }>(
    `SELECT j.number, p.email AS "to" FROM jobs j LEFT JOIN people p ON p.id = j.assigned_to AND p.ended_at IS NULL WHERE j.id = $1`,
    [jobId],
  );
  const [job] = found.rows;
  if (!job) return;
  for (const to of job.to === null ? await addressesOf(db, "role = 'supervisor'") : [job.to])
    await queueMail(db, firmId, {
      id: randomUUID(),
      kind: 'reminder',
      to,
      ...quotationAnsweredWords(kind, jobNumber(job.number), quote.number),
      jobId,
      madeBy: null,
      draft,
      about: `quotation ${answerId} ${to}`.slice(0, 200),
    });
}

async function addressesOf(db: PoolClient, which: "role = 'supervisor'"): Promise<string[]> {
  const found = await db.query<{ email: string }>(
    `SELECT email FROM people WHERE ended_at IS NULL AND ${which} ORDER BY email`,
  );
  return found.rows.map(({ email }) => email);
}

interface DueJob {
  readonly id: string;
  readonly number: number;
  readonly what: Reminded;
  readonly dueOn: Day;
  /** Whoever has the job; null where nobody has, or no longer. */
  readonly to: string | null;
}

async function clocksDue(db: PoolClient, today: Day): Promise<DueJob[]> {
  const found = await db.query<DueJob>(
    `SELECT j.id, j.number, j.due_what AS what, to_char(j.due_on, 'YYYY-MM-DD') AS "dueOn", p.email AS "to"
       FROM jobs j LEFT JOIN people p ON p.id = j.assigned_to AND p.ended_at IS NULL
      WHERE j.archived_at IS NULL AND j.state <> 'closed' AND j.due_what = ANY ($1)
        AND j.due_on < CASE WHEN j.due_what = 'notice' THEN $3::date ELSE $2::date END
      ORDER BY j.due_on, j.number`,
    [CLOCKS, today, addDays(today, NOTICE_DAYS + 1)],
  );
  return found.rows;
}

async function calibrationsDue(
  db: PoolClient,
  today: Day,
): Promise<{ readonly id: string; readonly name: string; readonly serial: string; readonly dueOn: Day }[]> {
  const found = await db.query<{ id: string; name: string; serial: string; dueOn: Day }>(
    `SELECT id, name, serial, to_char(calibration_due, 'YYYY-MM-DD') AS "dueOn" FROM instruments
      WHERE NOT retired AND calibration_due <= $1 ORDER BY calibration_due, name`,
    [addDays(today, CALIBRATION_DAYS)],
  );
  return found.rows;
}
