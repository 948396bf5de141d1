import { clocksOf, VISITS } from '@keen-gauge/core/calendar/clocks';
import { ukDay } from '@keen-gauge/core/calendar/days';
import { daysOf, type JobEvent } from '@keen-gauge/core/calendar/job-events';
import { rulesFor, type FirmRules } from '@keen-gauge/core/firm/firm-rules';
import type { PoolClient } from 'pg';
import { holidaysAbout, isNation } from './holidays';

/**
 * Keeps beside a job which of its clocks runs out first, and its booked visits, so that the list of jobs can be ordered by them without opening what happened to every one.
 * What is kept does not depend on today: whether it is late is seen when it is read. After anything that moves a clock: an entry, another nation or area, other rules.
 */
export async function keepDates(
  db: PoolClient,
  jobId: string,
  events: readonly JobEvent[],
  rules: FirmRules,
): Promise<void> {
  const found = await db.query<{ nation: string | null; meterPoint: string | null }>(
    'SELECT nation, meter_point AS "meterPoint" FROM jobs WHERE id = $1',
    [jobId],
  );
  const [job] = found.rows;
  if (!job) return;
  const days = daysOf(events);
  const today = ukDay(new Date());
  const holidays = new Set(holidaysAbout(isNation(job.nation) ? job.nation : 'england', today));
  const [next] = clocksOf(days, today, holidays, rulesFor(job.meterPoint ?? undefined, rules)).filter(
    ({ id, state }) => state !== 'done' && !VISITS.includes(id),
  );
  await db.query('UPDATE jobs SET due_on = $2, due_what = $3, survey_on = $4, fitting_on = $5 WHERE id = $1', [
    jobId,
    next?.dueOn ?? null,
    next?.id ?? null,
    days.surveyBookedOn ?? null,
    days.fittingBookedOn ?? null,
  ]);
}
