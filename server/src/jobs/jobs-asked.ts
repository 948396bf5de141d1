import { ROUTE_WAYS } from '@keen-gauge/core/route/ways';
import { isUUID } from 'class-validator';
import { JOB_ORDERS, JOB_STATES, JOBS_PAGE } from '@keen-gauge/core/calendar/job-list';
import type { JobsAsked } from './queries';

/** What an address asks of the list of jobs. What means nothing there asks for nothing: an old address still shows jobs. */
export function jobsAsked(query: Readonly<Record<string, unknown>>): JobsAsked {
  const { search, page, person } = query;
  const oneOf = <T extends string>(values: readonly T[], name: string): T | undefined =>
    values.find((value) => value === query[name]);
  const words = typeof search === 'string' ? search.trim().split(/\s+/).filter(Boolean).slice(0, 8) : [];
  const at = typeof page === 'string' && /^\d{1,5}$/.test(page) ? Number(page) : 0;
  return {
    words,
    state: oneOf(JOB_STATES, 'stage'),
    route: oneOf(ROUTE_WAYS, 'route'),
    person: person === 'nobody' || isUUID(person) ? (person as string) : undefined,
    late: query['late'] === 'yes',
    toBuy: query['to-buy'] === 'yes',
    archived: query['archived'] === 'yes',
    order: oneOf(JOB_ORDERS, 'order') ?? 'changed',
    byStage: query['group'] === 'stage',
    limit: JOBS_PAGE,
    offset: at * JOBS_PAGE,
  };
}
