import { IsEmail, IsString, MaxLength } from 'class-validator';
import { RequiredText, Text } from '@keen-gauge/core/survey/fields';
import { Router } from 'express';
import { DatabaseError, type Pool, type PoolClient } from 'pg';
import { randomUUID } from 'node:crypto';
import { audit } from '../audit/queries';
import { inFirm, type Asker } from '../db/firm-scope';
import { bodyAs } from '../http/body';
import { Problem } from '../http/problem';
import type { Mailer } from '../mail/mailer';
import { queueMail } from '../mail/queries';
import { recoveryWords } from '../mail/words';
import { insertRecovery, linkOfToken, openLink, useLink, type AccessLink } from './access-links';
import { accessLimits } from './access-limits';
import { placeOf, rememberPlace } from './known-places';
import { hashOf } from './passwords';
import { insertPerson, meOf, personForSignIn, personById, setPassword } from './queries';
import { beginSession } from './sessions';
import { isSetUp, setUp } from './setup';

class Email {
  @IsEmail({}, { message: 'an e-mail address' }) @MaxLength(200, { message: 'at most 200 characters' }) email: string;
}

class SetUpBody extends Email {
  @RequiredText(40, 'the code that the server printed') code: string;
  @RequiredText(100, 'the firm’s name') firm: string;
  @RequiredText(100, 'a name') name: string;
  @Text(60) registration?: string;
  @IsString({ message: 'text' }) @MaxLength(200, { message: 'at most 200 characters' }) password: string;
}

class RecoveryBody {
  @IsString({ message: 'text' }) @MaxLength(200, { message: 'at most 200 characters' }) email: string;
}

class LinkBody {
  @RequiredText(100, 'what stands in the link') token: string;
}

class UseBody extends LinkBody {
  @Text(100) name?: string;
  @IsString({ message: 'text' }) @MaxLength(200, { message: 'at most 200 characters' }) password: string;
}

/** One answer for a link that never was, was used, was revoked or is past its day: nothing is said of which. */
const SHUT = new Problem(
  404,
  'This link does not open anything',
  'It works once and for a while only. Ask your supervisor for another, or ask for a new password.',
);

const lowered = (email: string): string => email.trim().toLowerCase();

/** What somebody may do who is not signed in, besides signing in: set the server up, take up an invitation, get a new password. */
export function accessRoutes(pool: Pool, mailer: Mailer | undefined): Router {
  const limits = accessLimits(pool);
  const router = Router();

  /** What the pages before signing in need to know. */
  router.get('/', async (_request, response) => {
    response.json({ isSetUp: await isSetUp(pool), mails: mailer !== undefined });
  });

  router.post('/set-up', async (request, response) => {
    await limits.take('set-up', placeOf(request).address);
    const { code, firm, name, email, registration = '', password } = bodyAs(SetUpBody, request.body);
    const first = { firm: firm.trim(), name: name.trim(), email: lowered(email), registration: registration.trim() };
    const passwordHash = await hashOf(password, [first.firm, first.name, first.email]);
    const asker = await setUp(pool, code, first, passwordHash);
    if (!asker)
      throw new Problem(
        403,
        'Not the code',
        'The server prints a code when it starts and has no firm yet. It is good for a day.',
      );
    await inFirm(pool, asker, async (db) => {
      await rememberPlace(db, asker, placeOf(request), response);
      await audit(db, asker, null, 'person-joined', { name: first.name, role: 'supervisor' });
    });
    await beginSession(request, asker);
    response.status(201).json(await inFirm(pool, asker, (db) => meOf(db, asker.personId)));
  });

  /** The same answer whether there is such a person or not, and as soon: the rest is done in the background. */
  router.post('/recovery', async (request, response) => {
    const place = placeOf(request);
    const { email } = bodyAs(RecoveryBody, request.body);
    const name = lowered(email);
    await limits.take('recovery', place.address);
    if (!mailer)
      throw new Problem(409, 'No mail here', 'This server sends no mail. Ask a supervisor of your firm for a link.');
    response.status(202).json({ asked: true });
    // More than a few an hour to one address are nobody's own: not sent, and nothing said.
    if (await limits.isTooMany('mail', name)) return;
    const person = await personForSignIn(pool, name, []);
    if (!person) return;
    const actor = { firmId: person.firmId, personId: person.id };
    await inFirm(pool, { firmId: person.firmId }, async (db) => {
      const found = await personById(db, person.id);
      if (!found) return;
      const linkId = await insertRecovery(db, person.firmId, null, { id: person.id, email: name });
      const { subject, body } = recoveryWords(found.name);
      await queueMail(db, person.firmId, {
        id: randomUUID(),
        kind: 'recovery',
        to: name,
        subject,
        body,
        linkId,
        madeBy: null,
      });
      await audit(db, actor, null, 'recovery-asked');
    });
  });

  router.post('/link', async (request, response) => {
    await limits.take('link', placeOf(request).address);
    const { token } = bodyAs(LinkBody, request.body);
    const at = await linkOfToken(pool, token);
    if (!at) throw SHUT;
    const shown = await inFirm(pool, at, async (db) => {
      const link = await openLink(db, at.id);
      const firm = await db.query<{ name: string }>('SELECT name FROM firms');
      return link && { kind: link.kind, email: link.email, name: link.name, firm: firm.rows[0]?.name ?? '' };
    });
    if (!shown) throw SHUT;
    response.json(shown);
  });

  router.post('/link/use', async (request, response) => {
    const place = placeOf(request);
    await limits.take('link', place.address);
    const { token, name = '', password } = bodyAs(UseBody, request.body);
    const at = await linkOfToken(pool, token);
    if (!at) throw SHUT;
    const asker = await inFirm(pool, at, async (db): Promise<Asker> => {
      const link = await openLink(db, at.id);
      if (!link) throw SHUT;
      const passwordHash = await hashOf(password, [link.email, name, link.name]);
      await useLink(db, link.id);
      const opened = await openedBy(db, at.firmId, { ...link, name: name.trim() || link.name }, passwordHash);
      await rememberPlace(db, opened, place, response);
      return opened;
    }).catch((error: unknown) => {
      // Somebody signs in under that address already.
      if (error instanceof DatabaseError && error.code === '23505')
        throw new Problem(
          409,
          'Not this address',
          'Nobody can be added under this e-mail address. Ask to be invited under another.',
        );
      throw error;
    });
    await beginSession(request, asker);
    response.json(await inFirm(pool, asker, (db) => meOf(db, asker.personId)));
  });

  return router;
}

/** Whoever a link opens the application to: somebody who joins, or somebody of the firm with a new password. */
async function openedBy(db: PoolClient, firmId: string, link: AccessLink, passwordHash: string): Promise<Asker> {
  if (link.personId !== null) {
    const person = { firmId, personId: link.personId };
    const generation = await setPassword(db, link.personId, passwordHash);
    if (generation === undefined) throw SHUT;
    await audit(db, person, null, 'password-changed', { by: 'link' });
    return { ...person, generation };
  }
  const person = await insertPerson(db, firmId, { ...link, role: link.role ?? 'surveyor' }, passwordHash);
  await audit(db, person, null, 'person-joined', { name: link.name, role: link.role });
  return person;
}
