import { deviceDb } from './device-db';

const keyOf = (personId: string, jobId: string): string => `${personId} ${jobId}`;

/** The jobs this person wants on this device whoever has them. */
export async function chosenJobs(personId: string): Promise<string[]> {
  try {
    const found = await (await deviceDb()).getAllFromIndex('chosen', 'person', personId);
    return found.map(({ jobId }) => jobId);
  } catch {
    return [];
  }
}

export async function chooseJob(personId: string, jobId: string, isChosen: boolean): Promise<void> {
  const db = await deviceDb();
  if (isChosen) await db.put('chosen', { key: keyOf(personId, jobId), personId, jobId });
  else await db.delete('chosen', keyOf(personId, jobId));
}
