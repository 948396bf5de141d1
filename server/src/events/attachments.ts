import express, { Router } from 'express';
import { randomUUID } from 'node:crypto';
import type { Pool } from 'pg';
import { audit } from '../audit/queries';
import { inFirm } from '../db/firm-scope';
import { roomFor } from '../firm/storage';
import { askerOf, idParameter } from '../http/asker';
import { once } from '../http/once';
import { notFound, Problem } from '../http/problem';
import { eventsOf } from './queries';

/** What an operator sends on paper or by post: letters, pictures of them, e-mails as they are saved. */
const TYPES = ['application/pdf', 'image/jpeg', 'image/png', 'text/plain', 'message/rfc822'] as const;
const MOST_BYTES = 10_000_000;

/** What came with an entry of a job: added to it, never changed, and only ever handed out to be saved. */
export function attachmentRoutes(pool: Pool): Router {
  const router = Router({ mergeParams: true });

  router.post('/', express.raw({ type: [...TYPES], limit: MOST_BYTES }), async (request, response) => {
    const asker = askerOf(request);
    const [jobId, eventId] = [idParameter(request, 'jobId', 'job'), idParameter(request, 'eventId', 'entry')];
    const type = TYPES.find((each) => request.is(each));
    const bytes: unknown = request.body;
    if (!type || !Buffer.isBuffer(bytes) || bytes.length === 0)
      throw new Problem(415, 'Not a kind that is kept', 'PDF, JPEG, PNG, plain text or a saved e-mail, up to 10 MB.');
    const name = nameFrom(request.query['name']);
    const answer = await inFirm(pool, asker, async (db) => {
      const known = await eventsOf(db, jobId);
      if (!known.some(({ id, kind }) => id === eventId && kind !== 'withdrawn')) throw notFound('entry');
      return once(db, asker, request, async () => {
        await roomFor(db, asker.firmId, bytes.length);
        await db.query(
          `INSERT INTO event_attachments (id, firm_id, event_id, name, type, bytes, added_by) VALUES ($1, $2, $3, $4, $5, $6, $7)`,
          [randomUUID(), asker.firmId, eventId, name, type, bytes, asker.personId],
        );
        await audit(db, asker, jobId, 'attachment-added', { name, bytes: bytes.length });
        return { events: await eventsOf(db, jobId) };
      });
    });
    response.status(201).json(answer);
  });

  router.get('/:attachmentId', async (request, response) => {
    const id = idParameter(request, 'attachmentId', 'attachment');
    const [jobId, eventId] = [idParameter(request, 'jobId', 'job'), idParameter(request, 'eventId', 'entry')];
    const found = await inFirm(pool, askerOf(request), (db) =>
      db.query<{ name: string; type: string; bytes: Buffer }>(
        `SELECT a.name, a.type, a.bytes FROM event_attachments a JOIN job_events e ON e.id = a.event_id
          WHERE a.id = $1 AND e.id = $2 AND e.job_id = $3`,
        [id, eventId, jobId],
      ),
    );
    const [file] = found.rows;
    if (!file) throw notFound('attachment');
    // Whatever is in it, it is saved and not shown: nothing of it runs here.
    response.attachment(file.name).type(file.type).send(file.bytes);
  });

  return router;
}

function nameFrom(given: unknown): string {
  const name =
    typeof given === 'string'
      ? given
          .replace(/[\p{Cc}/\\]/gu, ' ')
          .trim()
          .slice(0, 120)
      : '';
  return name === '' ? 'attachment' : name;
}
