import { randomUUID } from 'node:crypto';
import { setTimeout } from 'node:timers/promises';
import { insist } from './insist';
import { PASSWORD } from './people';

/** What somebody was told is stored. */
export interface Acknowledged {
  readonly kind: 'revision' | 'event' | 'pack' | 'job';
  readonly jobId: string;
  readonly id: string;
  /** What is in it and in nothing else, where it has words. */
  readonly mark: string;
}

/** Between two saves of one person, ms: quick typing. */
const PAUSE_MS = 250;
const EVENT_EVERY = 8;
const PACK_EVERY = 12;

/**
 * One person at work until it is over: signs in, makes a job, and saves, enters and signs on it, going on to the next only once the one before was answered. Tells of each
 * thing that was acknowledged, and of anything refused, which nothing here should be.
 */
export async function work(
  bases: readonly string[],
  email: string,
  over: AbortSignal,
  acknowledged: (what: Acknowledged) => void,
  refused: (what: string) => void,
): Promise<void> {
  const signedIn = await insist(bases, '/session', { body: { email, password: PASSWORD } }, over);
  const cookie = signedIn?.cookie ?? '';
  const jobId = randomUUID();
  const send = async (kind: Acknowledged['kind'], id: string, mark: string, path: string, body: object) => {
    const answered = await insist(bases, path, { cookie, body }, over);
    if (answered?.status === 201) acknowledged({ kind, jobId, id, mark });
    else if (answered) refused(`${kind} ${answered.status} ${JSON.stringify(answered.body).slice(0, 200)}`);
    return answered;
  };
  await send('job', jobId, jobId, '/jobs', { id: jobId, place: email, wanted: 'faults' });
  const head = await insist(bases, `/jobs/${jobId}/survey`, { method: 'GET', cookie }, over);
  let revisionId = textIn(head?.body, 'revisionId');
  let notes: string | undefined;
  for (let count = 1; !over.aborted; count += 1) {
    const [id, to] = [randomUUID(), `note ${randomUUID()}`];
    const changes = [{ kind: 'set', path: ['notes'], ...(notes === undefined ? {} : { from: notes }), to }];
    const saved = await send('revision', id, to, `/jobs/${jobId}/survey/revisions`, {
      id,
      parentId: revisionId,
      changes,
    });
    if (saved?.status === 201) {
      revisionId = textIn(saved.body, 'revisionId');
      notes = to;
    }
    if (count % EVENT_EVERY === 0) {
      const entry = randomUUID();
      const note = `entry ${entry}`;
      await send('event', entry, note, `/jobs/${jobId}/events`, {
        id: entry,
        kind: 'vehicle-arrives',
        day: '2026-12-24',
        note,
      });
    }
    if (count % PACK_EVERY === 0) await sign(send, jobId, revisionId, cookie, bases, over);
    await setTimeout(PAUSE_MS + Math.random() * PAUSE_MS);
  }
}

function textIn(body: Record<string, unknown> | undefined, key: string): string {
  const value = body?.[key];
  return typeof value === 'string' ? value : '';
}

async function sign(
  send: (kind: 'pack', id: string, mark: string, path: string, body: object) => Promise<unknown>,
  jobId: string,
  revisionId: string,
  cookie: string,
  bases: readonly string[],
  over: AbortSignal,
): Promise<void> {
  const asked = await insist(bases, `/jobs/${jobId}/packs`, { cookie, body: { revisionId } }, over);
  const missing = (asked?.body['missing'] ?? []) as { key: string; safety: boolean }[];
  const reasons = missing
    .filter(({ safety }) => safety)
    .map(({ key }) => ({ key, reason: 'Under fault, on purpose.' }));
  const id = randomUUID();
  await send('pack', id, id, `/jobs/${jobId}/packs`, { id, revisionId, reason: 'Under fault, on purpose.', reasons });
}
