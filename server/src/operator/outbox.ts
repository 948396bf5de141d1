import { type JobEvent } from '@keen-gauge/core/calendar/job-events';
import { OPERATOR_ANSWER_NAMES } from '@keen-gauge/core/calendar/operator-answers';
import { ukDay } from '@keen-gauge/core/calendar/days';
import { createHash } from 'node:crypto';
import { buffer } from 'node:stream/consumers';
import type { Pool, PoolClient } from 'pg';
import { inFirm, type Actor } from '../db/firm-scope';
import { eventsOf, insertEvent } from '../events/queries';
import { packNumber } from '../jobs/numbers';
import { wholeBundle } from '../packs/bundle';
import { packArchive, packMade } from '../packs/queries';
import { backOffS } from '../tasks/back-off';
import { actorOf } from '../tasks/queue';
import type { Handler, Outcome } from '../tasks/worker';
import { addressFor, type OperatorAddresses } from './addresses';
import { askAfter, handIn, type DeskAnswer, type Trouble } from './desk-client';
import { addMessage, addTrouble, countTry, settle, submissionById, type Submission } from './queries';

/** How soon a pack whose archive is still being made is looked at again, s. */
const NOT_YET_S = 2;

/** How soon a conversation is looked at again where nothing more is known, s. */
const SOON_S = 5;

/**
 * Works on one submission: hands its pack in, or asks after it. What was under way when an instance died is told again under the same key, so that the desk takes it
 * once. Done when nothing more is to be said.
 */
export function handInHandler(pool: Pool, operators: OperatorAddresses): Handler {
  return async (task) => {
    const actor = actorOf(task);
    const submission = await inFirm(pool, task, (db) => submissionById(db, task.about));
    if (!submission) return 'done';
    const address = addressFor(operators, submission.area);
    if (submission.state === 'waiting') return sendIt(pool, actor, submission, address, task.attempts);
    if (submission.state === 'handed-in') return askIt(pool, actor, submission, address, task.attempts);
    return 'done';
  };
}

const NO_LINK: Trouble = { kind: 'trouble', why: 'There is no link to the operator of this area any more.' };

async function sendIt(
  pool: Pool,
  actor: Actor,
  submission: Submission,
  address: string | undefined,
  attempts: number,
): Promise<Outcome> {
  const pack = await inFirm(pool, actor, (db) => packMade(db, submission.packId));
  if (pack && !pack.made) return { afterS: NOT_YET_S };
  const archive = await inFirm(pool, actor, (db) => packArchive(db, submission.packId));
  await inFirm(pool, actor, (db) => countTry(db, submission.id));
  // No transaction is open while the desk is waited for.
  const came = !archive
    ? ({ kind: 'returned', why: 'The pack has no archive.' } as const)
    : address === undefined
      ? NO_LINK
      : await handIn(address, submission.id, await buffer(await wholeBundle(pool, actor, archive)));
  return held(pool, actor, submission, async (db, now) => {
    const note = (direction: 'out' | 'in', says: string): Promise<boolean> =>
      addMessage(db, actor.firmId, now.id, { direction, says });
    if (came.kind === 'trouble') return inTrouble(db, actor, now, came, attempts);
    if (came.kind === 'returned') {
      await note('in', `Not taken: ${came.why}`);
      await settle(db, now.id, 'returned');
      return 'done';
    }
    const number = packNumber(now.packNumber);
    await note('out', `${number} handed in`);
    await note('in', `Received; reference ${came.reference}`);
    await insertEvent(db, actor, {
      id: now.id,
      jobId: now.jobId,
      kind: now.route === 'fit-then-notify' ? 'notice-sent' : 'sent',
      day: ukDay(new Date()),
      details: { reference: came.reference, pack: number, overLink: true },
    });
    await settle(db, now.id, 'handed-in', came.reference);
    return { afterS: came.pollAfterS };
  });
}

async function askIt(
  pool: Pool,
  actor: Actor,
  submission: Submission,
  address: string | undefined,
  attempts: number,
): Promise<Outcome> {
  const came = address === undefined ? NO_LINK : await askAfter(address, submission.reference ?? '');
  return held(pool, actor, submission, async (db, now) => {
    if (came.kind === 'trouble') return inTrouble(db, actor, now, came, attempts);
    for (const answer of came.answers) await enter(db, actor, now, answer);
    // A desk may change its mind or tell it again: it is asked on, as seldom as it says, until the job is fitted or closed.
    if (came.answers.length > 0 && (await isOver(db, now.jobId))) {
      await settle(db, now.id, 'answered');
      return 'done';
    }
    return { afterS: came.answers.length > 0 ? Math.max(came.pollAfterS, SOON_S) : came.pollAfterS };
  });
}

/** Entered once on the job, however long it lasts, and tried again. */
async function inTrouble(
  db: PoolClient,
  actor: Actor,
  now: Submission,
  { why, waitS }: Trouble,
  attempts: number,
): Promise<Outcome> {
  await addTrouble(db, actor.firmId, now.id, why);
  return { afterS: waitS ?? backOffS(attempts), trouble: why };
}

/** An answer becomes an entry of the job, once under its id; one that only repeats another in every word is kept as said, and is no entry. */
async function enter(db: PoolClient, asker: Actor, submission: Submission, answer: DeskAnswer): Promise<void> {
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

/** Does something with a submission while nobody else can; one that has been stopped or moved on meanwhile is looked at anew. */
async function held(
  pool: Pool,
  actor: Actor,
  submission: Submission,
  work: (db: PoolClient, now: Submission) => Promise<Outcome>,
): Promise<Outcome> {
  return inFirm(pool, actor, async (db) => {
    const now = await submissionById(db, submission.id, true);
    return now?.state === submission.state ? work(db, now) : { afterS: 0 };
  });
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
