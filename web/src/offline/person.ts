import { keepFor } from './answers';
import { deviceDb } from './device-db';
import { PICTURES } from './pictures';

const DAY_MS = 86_400_000;

/** For how many days what is kept may be used without the server having been heard, where the firm has not said. */
export const KEPT_DAYS = 14;

/** What is read of whoever signed in: who, and for how long their firm lets a device keep what it carries. */
interface Person {
  readonly id: string;
  readonly rules?: { readonly terms?: { readonly keptDays?: number } };
}

export const keptDaysOf = (person: Person): number => person.rules?.terms?.keptDays ?? KEPT_DAYS;

/** Keeps who signed in, so that the application opens without the server; what another person left to be read goes. */
export async function rememberPerson(person: Person, at = Date.now()): Promise<void> {
  keepFor(person.id);
  try {
    const db = await deviceDb();
    const before = await db.get('person', 'person');
    if (before && before.person.id !== person.id) await forgetCopies();
    await db.put('person', { key: 'person', person, at });
  } catch {
    // A browser that keeps nothing works with a connection.
  }
}

/** Who signed in last on this device; undefined where nobody did, or so long ago that what is kept has been taken away. */
export async function rememberedPerson<P extends Person>(now = Date.now()): Promise<P | undefined> {
  try {
    const kept = await (await deviceDb()).get('person', 'person');
    if (!kept) return undefined;
    if (now - kept.at > keptDaysOf(kept.person) * DAY_MS || kept.at - now > DAY_MS) {
      await forgetCopies();
      return undefined;
    }
    keepFor(kept.person.id);
    return kept.person as P;
  } catch {
    return undefined;
  }
}

/** Takes away every copy of what the server has; what it does not have stays for whoever typed it. */
export async function forgetCopies(): Promise<void> {
  const db = await deviceDb();
  await Promise.all([db.clear('answers'), db.clear('person'), db.clear('chosen')]);
  if ('caches' in globalThis) await caches.delete(PICTURES);
}
