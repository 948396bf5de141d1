import useSWR from 'swr';
import { fetcher, NoAnswer } from '../api/client';
import type { JobsFound } from '../api/jobs';
import { connectionNow } from '../offline/connection';
import { newJobs } from '../offline/new-jobs';
import { filtersSet, readQuery } from './job-query';
import { jobsKnownHere, lookThrough } from './jobs-here';
import { jobHere } from './start-job';

/** The jobs an address asks for, as the server finds them; without it, those this device knows of. What was begun here and not told to it yet stands first. */
export function useJobs(asked: string, personId: string) {
  return useSWR<JobsFound, Error>(
    `/jobs${asked === '' ? '' : `?${asked}`}`,
    async (path: string) => {
      const query = readQuery(new URLSearchParams(asked));
      const answered = await fetcher<JobsFound>(path).catch((error: unknown) => {
        if (error instanceof NoAnswer) return undefined;
        throw error;
      });
      // A list kept from before does not have what was made or found since.
      const isOld = answered === undefined || connectionNow() === 'without';
      const found = isOld ? lookThrough(await jobsKnownHere(), query) : answered;
      if (query.page > 0 || filtersSet(query) > 0) return found;
      const told = new Set(found.jobs.map(({ id }) => id));
      const begun = (await newJobs(personId)).filter(({ id }) => !told.has(id)).map(jobHere);
      const own = lookThrough(begun, query).jobs;
      return own.length === 0 ? found : { ...found, jobs: [...own, ...found.jobs], total: found.total + own.length };
    },
    { keepPreviousData: true },
  );
}
