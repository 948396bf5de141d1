import type { Signature } from '@keen-gauge/core/pack/signature';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** An answer of the server, kept for when there is none. */
export interface KeptAnswer {
  readonly key: string;
  readonly personId: string;
  /** The address it answered, without `/api`. */
  readonly path: string;
  readonly body: unknown;
  /** When it came, in milliseconds since 1970. */
  readonly at: number;
}

/** Who signed in on this device last. */
export interface KeptPerson {
  readonly key: 'person';
  readonly person: { readonly id: string; readonly rules?: { readonly terms?: { readonly keptDays?: number } } };
  readonly at: number;
}

/** A job begun without a connection. */
export interface NewJob {
  readonly id: string;
  readonly personId: string;
  readonly place: string;
  readonly wanted: string;
  /** The survey’s first revision, named here so that what is typed next can say what it stands on. */
  readonly revisionId: string;
  readonly madeAt: number;
  /** Why the server would not take it. */
  readonly refused?: string;
}

/** A job that somebody wants on this device. */
export interface ChosenJob {
  readonly key: string;
  readonly personId: string;
  readonly jobId: string;
}

/** A survey signed without a connection, fixed as it was then. */
export interface KeptSignature {
  /** Of the pack it becomes. */
  readonly id: string;
  readonly personId: string;
  readonly jobId: string;
  /** ISO date and time by this device’s clock. */
  readonly at: string;
  /** SHA-256 of the survey as it was signed, in hexadecimal. */
  readonly fingerprint: string;
  /** Photographs that waited here when it was signed. */
  readonly photos: readonly string[];
  readonly reason: string;
  readonly reasons: readonly { readonly key: string; readonly reason: string }[];
  readonly signature: Signature;
  /** Why it has not become a pack although the server was reached. */
  readonly problem?: string;
}

/** A log’s file that the server does not have. */
export interface KeptLog {
  readonly id: string;
  readonly personId: string;
  readonly jobId: string;
  readonly name: string;
  readonly file: Blob;
  readonly refused?: string;
}

interface DeviceDb extends DBSchema {
  answers: { key: string; value: KeptAnswer; indexes: { person: [string, number] } };
  person: { key: string; value: KeptPerson };
  newJobs: { key: string; value: NewJob; indexes: { person: string } };
  chosen: { key: string; value: ChosenJob; indexes: { person: string } };
  logs: { key: string; value: KeptLog; indexes: { person: string } };
  signatures: { key: string; value: KeptSignature; indexes: { person: string } };
}

let opened: Promise<IDBPDatabase<DeviceDb>> | undefined;

/** What this device keeps so that it can be worked with alone. Rejects where the browser keeps nothing. */
export function deviceDb(): Promise<IDBPDatabase<DeviceDb>> {
  opened ??= openDB<DeviceDb>('keen-gauge-device', 2, {
    upgrade: (db, from, _to, change) => {
      // By person alone in the first version: ordered by when it came since.
      if (from === 1) {
        const answers = change.objectStore('answers');
        answers.deleteIndex('person');
        answers.createIndex('person', ['personId', 'at']);
        return;
      }
      db.createObjectStore('answers', { keyPath: 'key' }).createIndex('person', ['personId', 'at']);
      db.createObjectStore('person', { keyPath: 'key' });
      db.createObjectStore('newJobs', { keyPath: 'id' }).createIndex('person', 'personId');
      db.createObjectStore('chosen', { keyPath: 'key' }).createIndex('person', 'personId');
      db.createObjectStore('logs', { keyPath: 'id' }).createIndex('person', 'personId');
      db.createObjectStore('signatures', { keyPath: 'id' }).createIndex('person', 'personId');
    },
    // A newer version of the application, in another tab, wants to bring it to the present.
    blocking: (_now, _next, event) => {
      (event.target as IDBDatabase).close();
      opened = undefined;
    },
  });
  return opened;
}
