import { ukDay } from '@keen-gauge/core/calendar/days';
import { setTimeout } from 'node:timers/promises';
import type { Pool, PoolClient } from 'pg';
import { inFirm } from '../db/firm-scope';
import { firmRules } from '../firm/rules';
import { heavy } from '../heavy/threads';
import { askFor } from '../tasks/queue';
import { diaryOf } from './diary';

/** A firm's diary as it was written for calendars; `version` says of which state of the firm, and is never of two. */
export interface DiaryFile {
  readonly version: string;
  readonly body: string;
}

/** Of which state of the firm in scope, and of which day, a diary would be if it were written now. */
async function versionNow(db: PoolClient): Promise<string> {
  const found = await db.query<{ state: string }>(
    `SELECT concat_ws('.', (SELECT max(seq) FROM job_events),
                           (SELECT extract(epoch FROM max(changed_at)) FROM jobs),
                           (SELECT count(*) FROM jobs),
                           (SELECT extract(epoch FROM max(changed_at)) FROM house_rules),
                           (SELECT extract(epoch FROM max(made_at)) FROM operator_packs)) AS state`,
  );
  return `${ukDay(new Date())}.${found.rows[0]?.state ?? ''}`;
}

async function written(db: PoolClient): Promise<DiaryFile | undefined> {
  const found = await db.query<DiaryFile>('SELECT version, body FROM diary_files');
  return found.rows[0];
}

/** How long an up-to-date diary is waited for, ms; after that the one before is given, where there is one. */
const PATIENCE_MS = 4000;
const LOOK_MS = 100;

/**
 * The diary of a firm for a calendar that asks, or only its version where that is the one the calendar has. Where the firm has changed since it was written, it is
 * asked for anew and waited for a moment, without keeping anybody else waiting. Undefined where none has ever been written yet.
 */
export async function diaryFor(
  pool: Pool,
  firmId: string,
  known: (version: string) => boolean,
): Promise<DiaryFile | { readonly version: string } | undefined> {
  const scope = { firmId };
  const version = await inFirm(pool, scope, versionNow);
  if (known(version)) return { version };
  const until = Date.now() + PATIENCE_MS;
  for (;;) {
    const [file, late] = [await inFirm(pool, scope, written), Date.now() > until];
    if (file?.version === version || late) return file;
    await inFirm(pool, scope, (db) => wantedOnce(db, firmId));
    await setTimeout(LOOK_MS);
  }
}

/** Asks for the diary, unless that has been asked already and not been taken up. */
async function wantedOnce(db: PoolClient, firmId: string): Promise<void> {
  const waiting = await db.query(
    "SELECT 1 FROM tasks WHERE kind = 'write-diary' AND (claim IS NULL OR claimed_until > now())",
  );
  if (waiting.rowCount === 0) await askFor(db, { firmId }, 'write-diary', firmId);
}

/** Writes the diary of a firm for calendars, of the state it is in now; once for each. */
export async function writeDiary(pool: Pool, firmId: string): Promise<void> {
  const scope = { firmId };
  const wanted = await inFirm(pool, scope, async (db) => {
    const version = await versionNow(db);
    const known = await written(db);
    return known?.version === version ? undefined : { version, entries: await diaryOf(db, await firmRules(db)) };
  });
  // Written already, of this very state.
  if (!wanted) return;
  const { version, entries } = wanted;
  const body = await heavy('diaryText', entries);
  await inFirm(pool, scope, (db) =>
    db.query(
      `INSERT INTO diary_files (firm_id, version, body) VALUES ($1, $2, $3)
       ON CONFLICT (firm_id) DO UPDATE SET version = $2, body = $3, made_at = now()`,
      [firmId, version, body],
    ),
  );
}
