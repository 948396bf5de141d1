import { openDB } from 'idb';
import type { Says } from './asked';
import type { SmallPicture } from './picture';

/** An answer on its way, or being made: kept on the telephone until the server has it. */
export interface KeptAnswer {
  /** Of the link and the step. */
  readonly key: string;
  readonly token: string;
  readonly step: string;
  readonly id: string;
  readonly says: Says;
  readonly pictures: readonly SmallPicture[];
  /** Of the pictures, those the server has. */
  readonly sent: readonly string[];
  /** Whether it is to be sent; otherwise it is still being made. */
  readonly isReady: boolean;
}

/** Where answers are kept; tests put their own in. */
export interface Keep {
  readonly all: (token: string) => Promise<KeptAnswer[]>;
  readonly put: (answer: KeptAnswer) => Promise<void>;
  readonly drop: (key: string) => Promise<void>;
}

/** Kept in this browser, so that a closed page loses nothing; where it keeps nothing, in the page alone. */
export async function browserKeep(): Promise<Keep> {
  try {
    const db = await openDB('keen-gauge-customer', 1, {
      upgrade: (made) => {
        made.createObjectStore('answers', { keyPath: 'key' });
      },
    });
    return {
      all: async (token) => ((await db.getAll('answers')) as KeptAnswer[]).filter((each) => each.token === token),
      put: async (answer) => {
        await db.put('answers', answer);
      },
      drop: (key) => db.delete('answers', key),
    };
  } catch {
    return pageKeep();
  }
}

/** In the page alone. */
export function pageKeep(): Keep {
  const kept = new Map<string, KeptAnswer>();
  return {
    all: (token) => Promise.resolve(Array.from(kept.values()).filter((each) => each.token === token)),
    put: (answer) => {
      kept.set(answer.key, answer);
      return Promise.resolve();
    },
    drop: (key) => {
      kept.delete(key);
      return Promise.resolve();
    },
  };
}
