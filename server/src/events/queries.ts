import { daysOf, stageOf, type EventKind, type JobEvent } from '@keen-gauge/core/calendar/job-events';
import type { PoolClient } from 'pg';
import { audit } from '../audit/queries';
import type { Actor } from '../db/firm-scope';
import { keepDates } from '../calendar/keep-dates';
import { firmRules } from '../firm/rules';
import { takenId } from '../http/problem';

/** Everything that happened to a job, in the order it was entered. */
export async function eventsOf(db: PoolClient, jobId: string): Promise<JobEvent[]> {
  const found = await db.query<JobEvent>(
    `SELECT e.id, e.kind, to_char(e.day, 'YYYY-MM-DD') AS day, e.details, p.name AS by,
            (SELECT coalesce(json_agg(json_build_object('id', a.id, 'name', a.name) ORDER BY a.added_at), '[]')
               FROM event_attachments a WHERE a.event_id = e.id) AS attachments,
            to_char(e.made_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') AS "madeAt"
       FROM job_events e JOIN people p ON p.id = e.person_id WHERE e.job_id = $1 ORDER BY e.seq`,
    [jobId],
  );
  return found.rows;
}

export interface NewEvent {
  readonly id: string;
  readonly jobId: string;
  readonly kind: EventKind;
  readonly day: string;
  readonly details: JobEvent['details'];
}

/** Enters what happened. The same entry sent twice is one; nothing entered is ever changed. */
export async function insertEvent(db: PoolClient, asker: Actor, event: NewEvent): Promise<void> {
  const entered = await db.query(
    `INSERT INTO job_events (id, firm_id, job_id, kind, day, details, person_id) VALUES ($1, $2, $3, $4, $5, $6, $7)
     ON CONFLICT (id) DO NOTHING`,
    [event.id, asker.firmId, event.jobId, event.kind, event.day, JSON.stringify(event.details), asker.personId],
  );
  if (entered.rowCount !== 1) {
    const same = await db.query(
      'SELECT 1 FROM job_events WHERE id = $1 AND job_id = $2 AND kind = $3 AND day = $4 AND details = $5::jsonb',
      [event.id, event.jobId, event.kind, event.day, JSON.stringify(event.details)],
    );
    if (same.rowCount === 0) throw takenId();
    return;
  }
  // Where the entry that put it further is withdrawn, it is as it was signed, or before that.
  const events = await eventsOf(db, event.jobId);
  await db.query(
    `UPDATE jobs SET changed_at = now(), answer = $3,
            state = coalesce($2, CASE WHEN state IN ('to-survey', 'surveying', 'signed-off') THEN state
                                      WHEN EXISTS (SELECT 1 FROM packs k WHERE k.job_id = jobs.id) THEN 'signed-off'
                                      ELSE 'surveying' END)
      WHERE id = $1`,
    [event.jobId, stageOf(events), daysOf(events).answer ?? null],
  );
  await keepDates(db, event.jobId, events, await firmRules(db));
  await audit(db, asker, event.jobId, 'event-entered', { kind: event.kind, day: event.day, ...event.details });
}
