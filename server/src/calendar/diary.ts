import { clocksOf, type Clock } from '@keen-gauge/core/calendar/clocks';
import { byDay, ukDay } from '@keen-gauge/core/calendar/days';
import { daysOf, type JobEvent } from '@keen-gauge/core/calendar/job-events';
import { rulesFor, type FirmRules } from '@keen-gauge/core/firm/firm-rules';
import type { RulePack } from '@keen-gauge/core/rules/rule-pack';
import type { Nation } from '@keen-gauge/core/survey/words';
import type { PoolClient } from 'pg';
import { holidaysAbout, isNation } from './holidays';

/** A clock of one job that still runs, for the diary of the firm. */
export interface DiaryEntry extends Clock {
  readonly jobId: string;
  readonly number: number;
  readonly place: string;
}

interface EventRow {
  readonly id: string;
  readonly jobId: string;
  readonly kind: JobEvent['kind'];
  readonly day: string;
  readonly details: JobEvent['details'];
}

/** Every running clock of every job of the firm in scope, soonest first. Each job’s working days are those of its nation. */
export async function diaryOf(db: PoolClient, rules: FirmRules, today = ukDay(new Date())): Promise<DiaryEntry[]> {
  // Two plain reads put together here: gathering each job's events in the database takes three times as long.
  const jobs = await db.query<{
    jobId: string;
    number: number;
    place: string;
    nation: string | null;
    meterPoint: string | null;
  }>(
    `SELECT id AS "jobId", number, place, survey->'place'->>'nation' AS nation,
            survey->'place'->>'meterPointNumber' AS "meterPoint" FROM jobs
      WHERE id IN (SELECT job_id FROM job_events)`,
  );
  const rows = await db.query<EventRow>(
    `SELECT id, job_id AS "jobId", kind, to_char(day, 'YYYY-MM-DD') AS day, details FROM job_events ORDER BY seq`,
  );
  const events = new Map<string, JobEvent[]>();
  for (const { jobId, ...row } of rows.rows) {
    const event = { ...row, by: '', madeAt: '' };
    const known = events.get(jobId);
    if (known) known.push(event);
    else events.set(jobId, [event]);
  }
  const holidays = new Map<Nation, ReadonlySet<string>>();
  const holidaysOf = (nation: Nation): ReadonlySet<string> => {
    const known = holidays.get(nation);
    if (known) return known;
    const made = new Set(holidaysAbout(nation, today));
    holidays.set(nation, made);
    return made;
  };
  // Thousands of jobs, few rules: those of each meter point are put together once, and one will do for all where no area has its own.
  const packs = new Map<string, RulePack>();
  const packFor = (meterPoint: string | null): RulePack => {
    const asked = rules.house.areas.length === 0 ? '' : (meterPoint ?? '');
    const pack = packs.get(asked) ?? rulesFor(asked, rules);
    packs.set(asked, pack);
    return pack;
  };
  return jobs.rows
    .flatMap(({ jobId, number, place, nation, meterPoint }) =>
      clocksOf(
        daysOf(events.get(jobId) ?? []),
        today,
        holidaysOf(isNation(nation) ? nation : 'england'),
        packFor(meterPoint),
      )
        .filter(({ state }) => state !== 'done')
        .map((clock): DiaryEntry => ({ ...clock, jobId, number, place })),
    )
    .sort((a, b) => byDay(a.dueOn, b.dueOn) || a.number - b.number);
}
