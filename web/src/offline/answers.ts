import { deviceDb, type KeptAnswer } from './device-db';

/** Whose answers are kept and given; null while nobody is signed in, and then nothing is. */
let whose: string | null = null;

/** From now on what is kept is this person’s, and nobody else’s is given. */
export function keepFor(personId: string | null): void {
  whose = personId;
}

const keyOf = (personId: string, path: string): string => `${personId} ${path}`;

/** Keeps what the server answered. A browser that keeps nothing loses nothing by it but working alone. */
export async function keepAnswer(path: string, body: unknown, at = Date.now()): Promise<void> {
  if (whose === null) return;
  const personId = whose;
  try {
    await (await deviceDb()).put('answers', { key: keyOf(personId, path), personId, path, body, at });
  } catch {
    // Full, or not allowed: the page says so where it counts what is carried.
  }
}

/** What the server answered last at this address to this person; undefined where nothing is kept. */
export async function keptAnswer(path: string): Promise<KeptAnswer | undefined> {
  if (whose === null) return undefined;
  try {
    return await (await deviceDb()).get('answers', keyOf(whose, path));
  } catch {
    return undefined;
  }
}

/** What is kept for this person and since when, newest first; not what it says, which may be megabytes. */
export async function keptPaths(): Promise<{ readonly path: string; readonly at: number }[]> {
  if (whose === null) return [];
  const personId = whose;
  const found: { path: string; at: number }[] = [];
  try {
    const index = (await deviceDb()).transaction('answers').store.index('person');
    const range = IDBKeyRange.bound([personId, 0], [personId, Infinity]);
    for (let here = await index.openKeyCursor(range, 'prev'); here; here = await here.continue())
      found.push({ path: here.primaryKey.slice(personId.length + 1), at: here.key[1] });
  } catch {
    // A browser that keeps nothing has nothing.
  }
  return found;
}

/** Takes away what was kept before `before`, in milliseconds since 1970, for whomever. */
export async function forgetBefore(before: number): Promise<void> {
  const db = await deviceDb();
  const change = db.transaction('answers', 'readwrite');
  for (let at = await change.store.openCursor(); at; at = await at.continue())
    if (at.value.at < before) await at.delete();
  await change.done;
}
