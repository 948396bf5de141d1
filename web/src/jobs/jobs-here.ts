import { JOB_STATES, JOBS_PAGE, type JobState } from '@keen-gauge/core/calendar/job-list';
import { ROUTE_WAYS } from '@keen-gauge/core/route/ways';
import type { Job, JobsFound } from '../api/jobs';
import { keptAnswer, keptPaths } from '../offline/answers';
import type { JobQuery } from './job-query';

const ONE_JOB = /^\/jobs\/[0-9a-f-]{36}$/;
const LIST = /^\/jobs(\?|$)/;

/** Every job this device knows of, each as it was heard of last. */
export async function jobsKnownHere(): Promise<Job[]> {
  const found = new Map<string, Job>();
  const paths = (await keptPaths()).filter(({ path }) => ONE_JOB.test(path) || LIST.test(path));
  const bodies = await Promise.all(paths.map(async ({ path }) => (await keptAnswer(path))?.body));
  // Newest first: what is there already is newer.
  for (const body of bodies)
    for (const job of body === undefined ? [] : isList(body) ? body.jobs : [body as Job])
      if (!found.has(job.id)) found.set(job.id, job);
  return [...found.values()];
}

const isList = (body: unknown): body is JobsFound => typeof body === 'object' && body !== null && 'jobs' in body;

/** The jobs whose survey this device has, with when it was heard of last, in milliseconds since 1970. */
export async function surveysHere(): Promise<ReadonlyMap<string, number>> {
  const found = (await keptPaths()).flatMap(({ path, at }) => {
    const id = /^\/jobs\/([0-9a-f-]{36})\/survey$/.exec(path)?.[1];
    return id === undefined ? [] : [[id, at] as const];
  });
  return new Map(found);
}

/** Looks through jobs as the server would, by what each says of itself. */
export function lookThrough(jobs: readonly Job[], query: JobQuery): JobsFound {
  const words = query.search.toLowerCase().split(/\s+/).filter(Boolean);
  const within = jobs.filter((job) => {
    const text =
      `kg-${String(job.number).padStart(4, '0')} ${job.place} ${job.wanted} ${job.customer ?? ''}`.toLowerCase();
    return (
      words.every((word) => text.includes(word)) &&
      (query.route === undefined || job.route === query.route) &&
      (query.person === undefined || (job.assignedTo?.id ?? 'nobody') === query.person) &&
      (!query.late || job.late) &&
      job.archived === query.archived
    );
  });
  const stages: Partial<Record<JobState, number>> = {};
  for (const { state } of within) stages[state] = (stages[state] ?? 0) + 1;
  const found = within
    .filter(({ state }) => query.stage === undefined || state === query.stage)
    .sort(ORDERS[query.order]);
  return { jobs: found.slice(query.page * JOBS_PAGE, (query.page + 1) * JOBS_PAGE), total: found.length, stages };
}

const newest = (a: Job, b: Job): number => b.changedAt.localeCompare(a.changedAt);
/** Those without come last. */
const byText =
  (of: (job: Job) => string | null | undefined) =>
  (a: Job, b: Job): number => {
    const [left, right] = [of(a) ?? '\uffff', of(b) ?? '\uffff'];
    return left === right ? newest(a, b) : left < right ? -1 : 1;
  };
const byNumber =
  (of: (job: Job) => number) =>
  (a: Job, b: Job): number =>
    of(a) - of(b) || newest(a, b);

const ORDERS: Readonly<Record<JobQuery['order'], (a: Job, b: Job) => number>> = {
  changed: newest,
  next: byText(({ nextOn }) => nextOn),
  stage: byNumber(({ state }) => JOB_STATES.indexOf(state)),
  route: byNumber(({ route }) => ROUTE_WAYS.indexOf(route)),
  person: byText(({ assignedTo }) => assignedTo?.name),
  place: byText(({ place }) => place),
  number: byNumber(({ number }) => -number),
};
