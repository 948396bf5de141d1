import { verify } from '@node-rs/argon2';
import { IsString, MaxLength } from 'class-validator';
import { Router } from 'express';
import type { Pool } from 'pg';
import type { Logger } from 'pino';
import { audit } from '../audit/queries';
import { inFirm, type Asker } from '../db/firm-scope';
import { askerOf } from '../http/asker';
import { bodyAs } from '../http/body';
import { notFound, Problem } from '../http/problem';
import type { Metrics } from '../signals/metrics';
import { placeOf, rememberPlace } from './known-places';
import { hashOf } from './passwords';
import { meOf, passwordHashOf, personById, personForSignIn, setPassword, type SignInPerson } from './queries';
import { beginSession, deviceWords, endSessions, sessionsOf } from './sessions';
import { signInLimits, tooMany } from './sign-in-limits';

class SignIn {
  @IsString({ message: 'text' }) @MaxLength(200, { message: 'at most 200 characters' }) email: string;
  @IsString({ message: 'text' }) @MaxLength(200, { message: 'at most 200 characters' }) password: string;
}

/** A hash of nothing anybody uses, checked when there is no such person so that both answers take as long. */
const NOBODY = '$argon2id$v=19$m=19456,t=2,p=1$c29tZXNhbHRzb21lc2FsdA$5ow22fYK1oIaROVUZQP3Sla8HiCIp5/q4bKtpFaz4bA';

const WRONG = new Problem(401, 'Not signed in', 'That e-mail address and password do not go together.');

/** Signing in and out. */
export function sessionRoutes(pool: Pool, log: Logger, metrics: Metrics): Router {
  const limits = signInLimits(pool);
  const router = Router();

  /** What went wrong at somebody's door stands in their firm's record; of a name nobody has, only that it was tried is logged. */
  const noted = async (person: SignInPerson | undefined, outcome: 'wrong' | 'stopped'): Promise<void> => {
    metrics.signIn(outcome);
    log.warn({ outcome, firm: person?.firmId }, 'sign-in');
    if (!person) return;
    const { id: personId, firmId } = person;
    const what = outcome === 'wrong' ? 'sign-in-failed' : 'sign-in-stopped';
    await inFirm(pool, { firmId }, (db) => audit(db, { firmId, personId }, null, what));
  };

  router.post('/', async (request, response) => {
    const { email, password } = bodyAs(SignIn, request.body);
    const name = email.trim().toLowerCase();
    const place = placeOf(request);
    const person = await personForSignIn(pool, name, Object.values(place.digests));
    const knows = (digest: Buffer): boolean => person?.known.some((known) => known.equals(digest)) ?? false;
    const taken = await limits.take({
      name,
      address: place.address,
      device: place.device,
      knownDevice: knows(place.digests.device),
      knownAddress: knows(place.digests.address),
    });
    if ('waitMs' in taken) {
      if (taken.first) await noted(person, 'stopped');
      throw tooMany(taken.waitMs);
    }
    const right = await verify(person?.passwordHash ?? NOBODY, password).catch(() => false);
    if (!person || !right) {
      await noted(person, 'wrong');
      throw WRONG;
    }
    await taken.giveBack();
    metrics.signIn('right');
    const asker: Asker = { firmId: person.firmId, personId: person.id, generation: person.generation };
    const me = await inFirm(pool, asker, async (db) => {
      await rememberPlace(db, asker, place, response);
      await audit(db, asker, null, 'signed-in', { on: deviceWords(request.get('user-agent') ?? '') });
      return meOf(db, asker.personId);
    });
    await beginSession(request, asker);
    response.json(me);
  });

  router.delete('/', async (request, response) => {
    await new Promise<void>((resolve, reject) => {
      request.session.destroy((error: unknown) => {
        // Still signed in where it could not be taken away: said, not passed over.
        if (error) reject(error instanceof Error ? error : new Error('session'));
        else resolve();
      });
    });
    response.clearCookie('keen.sid').status(204).end();
  });

  return router;
}

class NewPassword {
  @IsString({ message: 'text' }) @MaxLength(200, { message: 'at most 200 characters' }) current: string;
  @IsString({ message: 'text' }) @MaxLength(200, { message: 'at most 200 characters' }) password: string;
}

/** Who I am, my password, and where I am signed in. */
export function meRoutes(pool: Pool): Router {
  const limits = signInLimits(pool);
  const router = Router();
  router.get('/', async (request, response) => {
    const asker = askerOf(request);
    const me = await inFirm(pool, asker, (db) => meOf(db, asker.personId));
    if (!me) throw new Problem(401, 'Not signed in', 'Sign in to go on.');
    response.json(me);
  });

  router.post('/password', async (request, response) => {
    const asker = askerOf(request);
    const { current, password } = bodyAs(NewPassword, request.body);
    const { address, device } = placeOf(request);
    // Whoever has found a device open does not get to guess without end.
    const taken = await limits.take({ name: asker.personId, address, device, knownDevice: true, knownAddress: true });
    if ('waitMs' in taken) throw tooMany(taken.waitMs);
    const generation = await inFirm(pool, asker, async (db) => {
      const right = await verify(await passwordHashOf(db, asker.personId), current).catch(() => false);
      if (!right) throw new Problem(403, 'Not your password', 'The password you have now is not that one.');
      const me = await personById(db, asker.personId);
      const hash = await hashOf(password, [me?.name ?? '', me?.email ?? '', me?.firm ?? '']);
      await audit(db, asker, null, 'password-changed');
      return setPassword(db, asker.personId, hash);
    });
    await taken.giveBack();
    // Every session has ended with the old password; this one begins anew.
    await beginSession(request, { ...asker, generation: generation ?? 0 });
    response.status(204).end();
  });

  router.get('/sessions', async (request, response) => {
    const asker = askerOf(request);
    response.json({ sessions: await inFirm(pool, asker, (db) => sessionsOf(db, asker, request.sessionID)) });
  });

  router.delete('/sessions', async (request, response) => {
    const asker = askerOf(request);
    const sessions = await inFirm(pool, asker, async (db) => {
      const ended = await endSessions(db, asker, { allBut: request.sessionID });
      if (ended > 0) await audit(db, asker, null, 'session-ended', { sessions: ended });
      return sessionsOf(db, asker, request.sessionID);
    });
    response.json({ sessions });
  });

  router.delete('/sessions/:sessionId', async (request, response) => {
    const asker = askerOf(request);
    const { sessionId } = request.params;
    const sessions = await inFirm(pool, asker, async (db) => {
      if ((await endSessions(db, asker, { id: sessionId })) === 0) throw notFound('session');
      await audit(db, asker, null, 'session-ended', { sessions: 1 });
      return sessionsOf(db, asker, request.sessionID);
    });
    response.json({ sessions });
  });

  return router;
}
