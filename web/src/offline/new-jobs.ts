import { deviceDb, type NewJob } from './device-db';
import { keeping } from './full';

/** Keeps a job that the server has not heard of yet. */
export async function keepNewJob(job: NewJob): Promise<void> {
  await keeping(async () => (await deviceDb()).put('newJobs', job));
}

/** A job that is on this device only; undefined for every other. */
export async function newJob(id: string): Promise<NewJob | undefined> {
  try {
    return await (await deviceDb()).get('newJobs', id);
  } catch {
    return undefined;
  }
}

/** The jobs this person began that the server has not heard of yet, oldest first. */
export async function newJobs(personId: string): Promise<NewJob[]> {
  try {
    const found = await (await deviceDb()).getAllFromIndex('newJobs', 'person', personId);
    return found.sort((a, b) => a.madeAt - b.madeAt);
  } catch {
    return [];
  }
}

export async function forgetNewJob(id: string): Promise<void> {
  await (await deviceDb()).delete('newJobs', id);
}
