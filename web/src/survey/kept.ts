import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { keeping } from '../offline/full';
import type { Unsaved } from './survey-store';

/**
 * What has been typed and not yet acknowledged by the server, kept in this browser. One entry for each person, job and
 * tab: tabs do not write over each other, and nobody sees what another person left on a shared device.
 */
export interface Kept extends Unsaved {
  readonly key: string;
  readonly personId: string;
  readonly jobId: string;
  readonly tabId: string;
}

interface KeptDb extends DBSchema {
  unsaved: { key: string; value: Kept; indexes: { job: [string, string] } };
}

let opened: Promise<IDBPDatabase<KeptDb>> | undefined;

function database(): Promise<IDBPDatabase<KeptDb>> {
  opened ??= openDB<KeptDb>('keen-gauge', 1, {
    upgrade: (db) => {
      db.createObjectStore('unsaved', { keyPath: 'key' }).createIndex('job', ['personId', 'jobId']);
    },
  });
  return opened;
}

/** This tab's name; it outlives a reload, not the tab. */
export function tabId(): string {
  const known = sessionStorage.getItem('keen-gauge-tab');
  if (known) return known;
  const made = crypto.randomUUID();
  sessionStorage.setItem('keen-gauge-tab', made);
  return made;
}

const lockName = (tab: string): string => `keen-gauge-tab-${tab}`;

/**
 * Holds this tab's lock for as long as it lives, so that other tabs leave its typing alone. A duplicated tab comes with
 * the original's name: it cannot get the lock and takes a new name.
 */
export async function claimTab(): Promise<string> {
  const tab = tabId();
  const got = await new Promise<boolean>((resolve) => {
    void navigator.locks.request(lockName(tab), { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      return lock ? new Promise(() => undefined) : undefined;
    });
  });
  if (got) return tab;
  sessionStorage.removeItem('keen-gauge-tab');
  return claimTab();
}

let claimed: Promise<string> | undefined;

/** This tab's name with its lock held; asked for once. */
export function ownTab(): Promise<string> {
  claimed ??= claimTab();
  return claimed;
}

/** Jobs whose typing was taken away while they were open here: leaving them does not bring it back. */
const takenAway = new Set<string>();

export async function keep(entry: Omit<Kept, 'key'>): Promise<void> {
  if (takenAway.has(`${entry.personId}/${entry.jobId}`)) return;
  await keeping(async () => (await database()).put('unsaved', { ...entry, key: keyOf(entry) }));
}

export async function forget(entry: Pick<Kept, 'personId' | 'jobId' | 'tabId'>): Promise<void> {
  await (await database()).delete('unsaved', keyOf(entry));
}

function keyOf({ personId, jobId, tabId: tab }: Pick<Kept, 'personId' | 'jobId' | 'tabId'>): string {
  return `${personId}/${jobId}/${tab}`;
}

/** The jobs for which this person typed something on this device that the server does not have. */
export async function keptJobs(personId: string): Promise<ReadonlySet<string>> {
  const range = IDBKeyRange.bound([personId, ''], [personId, '\uffff']);
  const entries = await (await database()).getAllFromIndex('unsaved', 'job', range);
  return new Set(entries.map(({ jobId }) => jobId));
}

/** Takes away everything this person typed for a job on this device. */
export async function forgetTyping(personId: string, jobId: string): Promise<void> {
  takenAway.add(`${personId}/${jobId}`);
  const db = await database();
  for (const key of await db.getAllKeysFromIndex('unsaved', 'job', [personId, jobId])) await db.delete('unsaved', key);
}

/** What this person left of a job that no living tab is at, as it was kept, and this tab’s own from before a reload. */
export async function entriesOf(personId: string, jobId: string, ownTabId: string): Promise<Kept[]> {
  takenAway.delete(`${personId}/${jobId}`);
  const entries = await (await database()).getAllFromIndex('unsaved', 'job', [personId, jobId]);
  const { held = [] } = await navigator.locks.query();
  const alive = new Set(held.map(({ name }) => name));
  return entries.filter((entry) => entry.tabId === ownTabId || !alive.has(lockName(entry.tabId)));
}
