import { clocksOf, type Clock } from '@keen-gauge/core/calendar/clocks';
import { ukDay } from '@keen-gauge/core/calendar/days';
import { daysOf, type JobEvent } from '@keen-gauge/core/calendar/job-events';
import type { RulePack } from '@keen-gauge/core/rules/rule-pack';
import type { Nation } from '@keen-gauge/core/survey/words';
import type { PoolClient } from 'pg';
import { bankHolidays, isNation } from './holidays';

/** A clock of one job that still runs, for the diary of the firm. */
export interface DiaryEntry extends Clock {
  readonly jobId: string;
  readonly number: number;
  readonly place: string;
}

interface JobOfDiary {
  readonly jobId: string;
  readonly number: number;
  readonly place: string;
  readonly nation: string | null;
  readonly events: readonly JobEvent[];
}

/** Every running clock of every job of the firm in scope, soonest first. Each job’s working days are those of its nation. */
export async function diaryOf(db: PoolClient, pack: RulePack, today = ukDay(new Date())): Promise<DiaryEntry[]> {
  const found = await db.query<JobOfDiary>(
    `SELECT j.id AS "jobId", j.number, j.place, j.survey->'place'->>'nation' AS nation,
            json_agg(json_build_object('id', e.id, 'kind', e.kind, 'day', to_char(e.day, 'YYYY-MM-DD'), 'details', e.details)
                     ORDER BY e.seq) AS events
       FROM job_events e JOIN jobs j ON j.id = e.job_id
      GROUP BY j.id`,
  );
  const holidays = new Map<Nation, ReadonlySet<string>>();
  const holidaysOf = (nation: Nation): ReadonlySet<string> => {
    const known = holidays.get(nation);
    if (known) return known;
    const year = Number(today.slice(0, 4));
    const made = new Set([-1, 0, 1, 2].flatMap((ahead) => bankHolidays(nation, year + ahead)));
    holidays.set(nation, made);
    return made;
  };
  return found.rows
    .flatMap(({ jobId, number, place, nation, events }) =>
      clocksOf(daysOf(events), today, holidaysOf(isNation(nation) ? nation : 'england'), pack)
        .filter(({ state }) => state !== 'done')
        .map((clock): DiaryEntry => ({ ...clock, jobId, number, place })),
    )
    .sort((a, b) => a.dueOn.localeCompare(b.dueOn) || a.number - b.number);
}
