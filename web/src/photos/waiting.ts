import type { PhotoSubject } from '@keen-gauge/core/survey/photo';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { keeping } from '../offline/full';

/** A picture chosen and not yet with the server, kept in this browser with the file itself. */
export interface WaitingPhoto {
  readonly id: string;
  readonly personId: string;
  readonly jobId: string;
  readonly file: Blob;
  readonly fileName: string;
  readonly subject?: PhotoSubject;
  readonly subjectId?: string;
  readonly caption?: string;
  /** The customer took it. */
  readonly fromCustomer?: boolean;
  readonly chosenAt: number;
  /** Why the server would not take it; kept all the same until the person has done something with it. */
  readonly refused?: string;
}

interface WaitingDb extends DBSchema {
  photos: { key: string; value: WaitingPhoto; indexes: { job: [string, string] } };
}

let opened: Promise<IDBPDatabase<WaitingDb>> | undefined;

function database(): Promise<IDBPDatabase<WaitingDb>> {
  opened ??= openDB<WaitingDb>('keen-gauge-photos', 1, {
    upgrade: (db) => {
      db.createObjectStore('photos', { keyPath: 'id' }).createIndex('job', ['personId', 'jobId']);
    },
  });
  return opened;
}

export async function keepWaiting(photo: WaitingPhoto): Promise<void> {
  await keeping(async () => (await database()).put('photos', photo), photo.file.size);
}

export async function forgetWaiting(id: string): Promise<void> {
  await (await database()).delete('photos', id);
}

/** How many pictures of each job this person chose that the server does not have. */
export async function jobsWithPictures(personId: string): Promise<ReadonlyMap<string, number>> {
  const range = IDBKeyRange.bound([personId, ''], [personId, '\uffff']);
  const counts = new Map<string, number>();
  for (
    let at = await (await database()).transaction('photos').store.index('job').openKeyCursor(range);
    at;
    at = await at.continue()
  ) {
    const [, jobId] = at.key;
    counts.set(jobId, (counts.get(jobId) ?? 0) + 1);
  }
  return counts;
}

/** What this person chose for a job and the server does not have, oldest first. */
export async function waitingFor(personId: string, jobId: string): Promise<WaitingPhoto[]> {
  const found = await (await database()).getAllFromIndex('photos', 'job', [personId, jobId]);
  return found.sort((a, b) => a.chosenAt - b.chosenAt);
}
