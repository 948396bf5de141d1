import { stepsOfFirm } from '@keen-gauge/core/customer/firm-steps';
import { wantedSteps } from '@keen-gauge/core/customer/wanted';
import { assess } from '@keen-gauge/core/assess';
import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import { randomUUID as newId } from 'node:crypto';
import type { Pool } from 'pg';
import { insertLink, insertPicture, putAnswer } from '../customer/queries';
import { inFirm, type Actor } from '../db/firm-scope';
import { readPicture } from '../photos/picture';
import { headOf } from '../surveys/queries';
import { drawingJpeg } from './pictures';
import type { DemoReply } from './scenario';

const DAYS = 14;

/** Asks a made-up customer what is open on the job, and has what they sent arrive; the link itself is nobody’s. */
export async function sendReplies(
  pool: Pool,
  asker: Actor,
  jobId: string,
  replies: readonly DemoReply[],
): Promise<void> {
  const pictures = await Promise.all(
    replies.flatMap(({ step, drawings = [] }) =>
      drawings.map(async (drawing) => ({ step, picture: await readPicture(await drawingJpeg(drawing)) })),
    ),
  );
  await inFirm(pool, asker, async (db) => {
    const head = await headOf(db, jobId);
    if (!head) return;
    const wanted: readonly string[] = wantedSteps(head.survey, assess(head.survey, gbDefault).questions);
    const steps = stepsOfFirm(undefined)
      .filter(({ id }) => wanted.includes(id) || replies.some(({ step }) => step === id))
      .map(({ helps: _helps, ...step }) => step);
    const linkId = await insertLink(db, asker, jobId, steps, DAYS);
    for (const { step, picture } of pictures)
      await insertPicture(db, asker.firmId, linkId, { id: newId(), step, round: 1 }, picture);
    for (const { step, says = {} } of replies)
      await putAnswer(db, asker.firmId, linkId, { id: newId(), step, round: 1, says });
    await db.query('UPDATE customer_links SET opened_at = now(), done_at = now() WHERE id = $1', [linkId]);
  });
}
