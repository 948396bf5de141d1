import { call, fetcher, ServerProblem } from '../api/client';
import type { Job, JobsFound } from '../api/jobs';
import { thumbUrl } from '../api/photos';
import type { Head } from '../api/surveys';
import { forgetBefore, keepAnswer, keptAnswer } from '../offline/answers';
import { chosenJobs } from '../offline/chosen';
import { surveysHere } from '../jobs/jobs-here';

const DAY_MS = 86_400_000;
/** Jobs opened so lately stay on the device. */
const LATELY_MS = 7 * DAY_MS;

/** What every survey needs that belongs to the firm. */
const OF_THE_FIRM = [
  '/people',
  '/firm/equipment',
  '/firm/terms',
  '/firm/prices',
  '/firm/schemes',
  '/instruments',
  '/diary',
];

const partsOf = (jobId: string): readonly string[] => [`/jobs/${jobId}/events`, `/jobs/${jobId}/packs`];

/** How far the taking is: how many of the jobs meant are here. */
export interface Carrying {
  readonly done: number;
  readonly of: number;
}

/**
 * Takes onto this device what a day’s work needs: the firm’s own things, the jobs given to this person, those chosen, and those opened lately, each with its
 * survey, dates, packs and small pictures; what is older than `keptDays` goes. What has not changed since it was taken is not fetched again. Rejects with NoAnswer where the connection goes.
 */
export async function carry(
  personId: string,
  keptDays: number,
  told: (carrying: Carrying) => void,
  now = Date.now(),
): Promise<void> {
  await forgetBefore(now - keptDays * DAY_MS);
  for (const path of OF_THE_FIRM) await fetcher(path);
  const meant = await jobsMeant(personId, now);
  for (const [at, jobId] of meant.entries()) {
    told({ done: at, of: meant.length });
    await carryJob(jobId);
  }
  told({ done: meant.length, of: meant.length });
}

async function jobsMeant(personId: string, now: number): Promise<string[]> {
  const { jobs } = await fetcher<JobsFound>('/jobs');
  const given = await call<JobsFound>('GET', `/jobs?person=${personId}`);
  const lately = [...(await surveysHere())].filter(([, at]) => now - at < LATELY_MS).map(([id]) => id);
  const open = given.jobs.filter(({ state }) => state !== 'closed');
  // Jobs the list has are known by it; each is kept by itself too, so that a later list does not lose it.
  for (const job of [...jobs, ...given.jobs]) await keepAnswer(`/jobs/${job.id}`, job);
  return [...new Set([...open.map(({ id }) => id), ...(await chosenJobs(personId)), ...lately])];
}

/** Under what is kept as which state of a job was taken whole. */
const takenPath = (jobId: string): string => `/jobs/${jobId}/taken`;

async function carryJob(jobId: string): Promise<void> {
  const before = await keptAnswer(takenPath(jobId));
  const job = await call<Job>('GET', `/jobs/${jobId}`).catch((error: unknown) => {
    if (error instanceof ServerProblem) return undefined;
    throw error;
  });
  if (!job) return;
  await keepAnswer(`/jobs/${jobId}`, job);
  // By what the server says of itself, not by the clock of this device, which may be hours wrong.
  if (before?.body === job.changedAt) return;
  const head = await call<Head>('GET', `/jobs/${jobId}/survey`);
  await keepAnswer(`/jobs/${jobId}/survey`, head);
  for (const path of partsOf(jobId)) await fetcher(path);
  // Asked for through the worker, which keeps them.
  for (const { id } of head.survey.photos) await fetch(thumbUrl(jobId, id)).catch(() => undefined);
  await keepAnswer(takenPath(jobId), job.changedAt);
}
