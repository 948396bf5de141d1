import { verify } from '@node-rs/argon2';
import { IsString, MaxLength } from 'class-validator';
import { Router } from 'express';
import type { Pool } from 'pg';
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { inFirm } from '../db/firm-scope';
import { askerOf, signedIn } from '../http/asker';
import { bodyAs } from '../http/body';
import { Problem } from '../http/problem';
import { meOf, personForSignIn } from './queries';

class SignIn {
  @IsString({ message: 'text' }) @MaxLength(200, { message: 'at most 200 characters' }) email: string;
  @IsString({ message: 'text' }) @MaxLength(200, { message: 'at most 200 characters' }) password: string;
}

/** A hash of nothing anybody uses, checked when there is no such person so that both answers take as long. */
const NOBODY = '$argon2id$v=19$m=19456,t=2,p=1$c29tZXNhbHRzb21lc2FsdA$5ow22fYK1oIaROVUZQP3Sla8HiCIp5/q4bKtpFaz4bA';

const WRONG = new Problem(401, 'Not signed in', 'That e-mail address and password do not go together.');

const MINUTES_15 = 15 * 60;

/** Signing in and out, and who I am. */
export function peopleRoutes(pool: Pool): Router {
  const counts = { storeClient: pool, tableName: 'sign_in_counts', tableCreated: true, duration: MINUTES_15 };
  const perName = new RateLimiterPostgres({ ...counts, keyPrefix: 'name', points: 8 });
  const perAddress = new RateLimiterPostgres({ ...counts, keyPrefix: 'address', points: 60 });
  const router = Router();

  router.post('/session', async (request, response) => {
    const { email, password } = bodyAs(SignIn, request.body);
    const name = email.trim().toLowerCase();
    const address = request.ip ?? 'unknown';
    const spent = [await perName.get(name), await perAddress.get(address)];
    if (spent.some((count) => count !== null && count.remainingPoints <= 0)) throw tooMany(spent);
    const person = await personForSignIn(pool, name);
    const right = await verify(person?.passwordHash ?? NOBODY, password).catch(() => false);
    if (!person || !right) {
      await Promise.all([perName.consume(name), perAddress.consume(address)]).catch((refusal: unknown) => {
        if (!(refusal instanceof RateLimiterRes)) throw refusal;
      });
      throw WRONG;
    }
    await perName.delete(name);
    // A new session id at sign-in: one planted beforehand is worth nothing.
    await new Promise<void>((resolve, reject) => {
      request.session.regenerate((error: unknown) => {
        if (error) reject(error instanceof Error ? error : new Error('session'));
        else resolve();
      });
    });
    request.session.asker = { firmId: person.firmId, personId: person.id };
    response.json(await inFirm(pool, person, (db) => meOf(db, person.id)));
  });

  router.delete('/session', async (request, response) => {
    await new Promise<void>((resolve) => {
      request.session.destroy(() => {
        resolve();
      });
    });
    response.clearCookie('keen.sid').status(204).end();
  });

  router.get('/me', signedIn, async (request, response) => {
    const asker = askerOf(request);
    const me = await inFirm(pool, asker, (db) => meOf(db, asker.personId));
    if (!me) throw new Problem(401, 'Not signed in', 'Sign in to go on.');
    response.json(me);
  });

  return router;
}

function tooMany(spent: readonly (RateLimiterRes | null)[]): Problem {
  const wait = Math.max(...spent.map((count) => (count && count.remainingPoints <= 0 ? count.msBeforeNext : 0)));
  const minutes = Math.max(1, Math.ceil(wait / 60_000));
  return new Problem(429, 'Too many tries', `Wait ${minutes} minute${minutes === 1 ? '' : 's'}, then try again.`);
}
