import Bowser from 'bowser';
import type { Request } from 'express';
import { createHash } from 'node:crypto';
import type { Pool, PoolClient } from 'pg';
import type { Asker } from '../db/firm-scope';

declare module 'express-session' {
  interface SessionData {
    /** What it was begun on, and when; one of before this was noted has neither. */
    begunOn: string;
    begunAt: string;
  }
}

/** A session as its owner sees it. Its own id, which is as good as a password, is never shown. */
export interface ShownSession {
  readonly id: string;
  readonly device: string;
  readonly begunAt: string | null;
  readonly here: boolean;
}

const shownId = (sid: string): string => createHash('sha256').update(`session ${sid}`).digest('base64url').slice(0, 22);

/** A new session id at sign-in: one planted beforehand is worth nothing. The person is in it from then on. */
export async function beginSession(request: Request, asker: Asker): Promise<void> {
  await new Promise<void>((resolve, reject) => {
    request.session.regenerate((error: unknown) => {
      if (error) reject(error instanceof Error ? error : new Error('session'));
      else resolve();
    });
  });
  request.session.asker = asker;
  request.session.begunOn = deviceWords(request.get('user-agent') ?? '');
  request.session.begunAt = new Date().toISOString();
}

interface Row {
  readonly sid: string;
  readonly begunOn: string | null;
  readonly begunAt: string | null;
}

/** The sessions that are good under somebody's access as it is, newest first. */
async function rowsOf(db: Pool | PoolClient, { personId, generation }: Asker): Promise<Row[]> {
  const found = await db.query<Row>(
    `SELECT sid, sess ->> 'begunOn' AS "begunOn", sess ->> 'begunAt' AS "begunAt" FROM session
      WHERE sess -> 'asker' ->> 'personId' = $1 AND sess -> 'asker' ->> 'generation' = $2 AND expire > now()
      ORDER BY sess ->> 'begunAt' DESC NULLS LAST`,
    [personId, String(generation)],
  );
  return found.rows;
}

export async function sessionsOf(db: PoolClient, asker: Asker, here: string): Promise<ShownSession[]> {
  return (await rowsOf(db, asker)).map(({ sid, begunOn, begunAt }) => ({
    id: shownId(sid),
    device: begunOn ?? 'A browser',
    begunAt,
    here: sid === here,
  }));
}

/** Ends one of somebody's sessions, or all but the one they ask from; how many that were. */
export async function endSessions(
  db: PoolClient,
  asker: Asker,
  which: { readonly id: string } | { readonly allBut: string },
): Promise<number> {
  const sids = (await rowsOf(db, asker))
    .map(({ sid }) => sid)
    .filter((sid) => ('id' in which ? shownId(sid) === which.id : sid !== which.allBut));
  await db.query('DELETE FROM session WHERE sid = ANY ($1)', [sids]);
  return sids.length;
}

/** What a browser says it is, in few words: so that people know their own devices apart, and nothing more is kept. */
export function deviceWords(agent: string): string {
  if (agent === '') return 'A browser';
  const { browser, os, platform } = Bowser.parse(agent);
  const on = platform.model ?? os.name ?? '';
  // One that is not known has a name without a letter.
  return [browser.name || 'A browser', ...(on === '' ? [] : [`on ${on}`])].join(' ');
}
