import { type JobEvent } from '@keen-gauge/core/calendar/job-events';
import { OPERATOR_ANSWER_NAMES } from '@keen-gauge/core/calendar/operator-answers';
import { ukDay } from '@keen-gauge/core/calendar/days';
import { createHash } from 'node:crypto';
import { buffer } from 'node:stream/consumers';
import { setTimeout } from 'node:timers/promises';
import type { Pool, PoolClient } from 'pg';
import type { Logger } from 'pino';
import { inFirm, type Asker } from '../db/firm-scope';
import { eventsOf, insertEvent } from '../events/queries';
import { packNumber } from '../jobs/numbers';
import { wholeBundle, type StoredBundle } from '../packs/bundle';
import { packBundleOf } from '../packs/queries';
import { addressFor, type OperatorAddresses } from './addresses';
import { askAfter, handIn, patienceMs, type DeskAnswer, type HandedIn, type Trouble } from './desk-client';
import { addMessage, addTrouble, holdClaim, settle, submissionById, type Submission } from './queries';

/** Longer than the desk is waited for, and held on to while a pack is on its way: only an instance that died lets a claim run out. */
const LEASE_S = 20;
const MARGIN_S = 8;
const LONGEST_WAIT_S = 15 * 60;
/** How many are worked on at once: one slow desk does not keep the others waiting. */
const LANES = 3;

export interface Outbox {
  readonly stop: () => Promise<void>;
}

/**
 * Works through what is to be handed in and asked after, whichever firm's, a few at a time. Any number of instances may do so on one
 * database: each takes what no other has. What was under way when one died is told again under the same key, so that the desk takes it once.
 */
export function startOutbox(pool: Pool, log: Logger, operators: OperatorAddresses, everyMs = 1000): Outbox {
  const stopped = new AbortController();
  const run = async (): Promise<void> => {
    while (!stopped.signal.aborted) {
      const worked = await workOnce(pool, log, operators).catch((error: unknown) => {
        log.error({ error: error instanceof Error ? error.message : error }, 'outbox');
        return false;
      });
      if (worked) continue;
      // Woken early when it is to stop.
      await setTimeout(everyMs, undefined, { signal: stopped.signal }).catch(() => undefined);
    }
  };
  const running = Promise.all(Array.from({ length: LANES }, run));
  return {
    stop: async () => {
      stopped.abort();
      await running;
    },
  };
}

interface Claim {
  readonly id: string;
  readonly firmId: string;
  readonly personId: string;
}

/** Takes one submission that is due and does what it needs; false where none is. */
export async function workOnce(pool: Pool, log: Logger, operators: OperatorAddresses): Promise<boolean> {
  const claimed = await pool.query<Claim>(
    'SELECT id, firm_id AS "firmId", asked_by AS "personId" FROM claim_submission($1)',
    [LEASE_S],
  );
  const [claim] = claimed.rows;
  if (!claim) return false;
  const submission = await inFirm(pool, claim, (db) => submissionById(db, claim.id));
  if (!submission) return true;
  log.info({ submission: claim.id, state: submission.state }, 'outbox works on');
  const address = addressFor(operators, submission.area);
  if (submission.state === 'waiting') await sendIt(pool, claim, submission, address);
  else if (submission.state === 'handed-in') await askIt(pool, claim, submission, address);
  return true;
}

const NO_LINK: Trouble = { kind: 'trouble', why: 'There is no link to the operator of this area any more.' };

async function sendIt(pool: Pool, asker: Claim, submission: Submission, address: string | undefined): Promise<void> {
  const found = await inFirm(pool, asker, (db) => packBundleOf(db, submission.packId));
  // No transaction is open while the desk is waited for.
  const came = !found?.stored
    ? ({ kind: 'returned', why: 'The pack has no archive.' } as const)
    : address === undefined
      ? NO_LINK
      : await sendTo(pool, asker, address, found.stored);
  await held(pool, asker, submission, async (db, now) => {
    const note = (direction: 'out' | 'in', says: string): Promise<boolean> =>
      addMessage(db, asker.firmId, now.id, { direction, says });
    if (came.kind === 'trouble') {
      await addTrouble(db, asker.firmId, now.id, came.why);
      await settle(db, now.id, 'waiting', { afterS: came.waitS ?? backOffS(now.attempts), failed: true });
    } else if (came.kind === 'returned') {
      await note('in', `Not taken: ${came.why}`);
      await settle(db, now.id, 'returned');
    } else {
      const pack = packNumber(now.packNumber);
      await note('out', `${pack} handed in`);
      await note('in', `Received; reference ${came.reference}`);
      await insertEvent(db, asker, {
        id: now.id,
        jobId: now.jobId,
        kind: now.route === 'fit-then-notify' ? 'notice-sent' : 'sent',
        day: ukDay(new Date()),
        details: { reference: came.reference, pack, overLink: true },
      });
      await settle(db, now.id, 'handed-in', { afterS: came.pollAfterS, reference: came.reference });
    }
  });
}

/** The claim lasts as long as this instance waits for the desk, and a little longer. */
async function sendTo(pool: Pool, asker: Claim, address: string, stored: StoredBundle): Promise<HandedIn> {
  const bundle = await buffer(await wholeBundle(pool, asker, stored));
  const seconds = patienceMs(bundle.length) / 1000 + MARGIN_S;
  await inFirm(pool, asker, (db) => holdClaim(db, asker.id, seconds));
  return handIn(address, asker.id, bundle);
}

async function askIt(pool: Pool, asker: Claim, submission: Submission, address: string | undefined): Promise<void> {
  const came = address === undefined ? NO_LINK : await askAfter(address, submission.reference ?? '');
  await held(pool, asker, submission, async (db, now) => {
    if (came.kind === 'trouble') {
      await addTrouble(db, asker.firmId, now.id, came.why);
      await settle(db, now.id, 'handed-in', { afterS: came.waitS ?? backOffS(now.attempts), failed: true });
      return;
    }
    for (const answer of came.answers) await enter(db, asker, now, answer);
    // A desk may change its mind or tell it again: it is asked on, as seldom as it says, until the job is fitted or closed.
    const settled = came.answers.length > 0 && (await isOver(db, now.jobId));
    await settle(db, now.id, settled ? 'answered' : 'handed-in', {
      afterS: came.answers.length > 0 ? Math.max(came.pollAfterS, 5) : came.pollAfterS,
    });
  });
}

/** An answer becomes an entry of the job, once under its id; one that only repeats another in every word is kept as said, and is no entry. */
async function enter(db: PoolClient, asker: Asker, submission: Submission, answer: DeskAnswer): Promise<void> {
  const { id, on, ...told } = answer;
  const words = [OPERATOR_ANSWER_NAMES[told.answer], told.note].filter(Boolean).join('. ');
  const details: JobEvent['details'] = {
    ...told,
    ...(submission.reference === null ? {} : { reference: submission.reference }),
    overLink: true,
    ...(on === undefined ? {} : { dated: on }),
  };
  const events = await eventsOf(db, submission.jobId);
  const repeated = events.some(
    (each) => each.kind === 'answered' && JSON.stringify(sorted(each.details)) === JSON.stringify(sorted(details)),
  );
  const fresh = await addMessage(db, asker.firmId, submission.id, {
    direction: 'in',
    says: repeated ? `${words} (told again)` : words,
    remoteId: id,
  });
  if (!fresh || repeated) return;
  await insertEvent(db, asker, {
    id: idFrom(submission.id, id),
    jobId: submission.jobId,
    kind: 'answered',
    day: ukDay(new Date()),
    details,
  });
}

async function isOver(db: PoolClient, jobId: string): Promise<boolean> {
  const found = await db.query<{ state: string }>('SELECT state FROM jobs WHERE id = $1', [jobId]);
  return found.rows[0]?.state === 'fitted' || found.rows[0]?.state === 'closed';
}

/** Does something with a submission while nobody else can, unless it has been stopped or moved on meanwhile. */
async function held(
  pool: Pool,
  asker: Asker,
  submission: Submission,
  work: (db: PoolClient, now: Submission) => Promise<void>,
): Promise<void> {
  await inFirm(pool, asker, async (db) => {
    const now = await submissionById(db, submission.id, true);
    if (now?.state === submission.state) await work(db, now);
  });
}

/** 1, 2, 4 … seconds after the first, second, third try; a quarter of an hour at most. */
function backOffS(tries: number): number {
  return Math.min(LONGEST_WAIT_S, 2 ** Math.min(Math.max(0, tries - 1), 20));
}

/** The id of the entry an answer becomes: the same however often it is told, and nobody else’s. */
function idFrom(submissionId: string, answerId: string): string {
  const hex = createHash('sha256').update(`${submissionId} ${answerId}`).digest('hex');
  return [hex.slice(0, 8), hex.slice(8, 12), `5${hex.slice(13, 16)}`, `8${hex.slice(17, 20)}`, hex.slice(20, 32)].join(
    '-',
  );
}

function sorted(details: object): [string, unknown][] {
  return Object.entries(details).sort(([a], [b]) => (a < b ? -1 : 1));
}
