import { verify } from '@node-rs/argon2';
import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
  type AuthenticationResponseJSON,
  type RegistrationResponseJSON,
} from '@simplewebauthn/server';
import { IsObject, IsString, MaxLength } from 'class-validator';
import { Router, type Request } from 'express';
import type { Pool } from 'pg';
import { audit } from '../audit/queries';
import { inFirm } from '../db/firm-scope';
import { askerOf, idParameter } from '../http/asker';
import { bodyAs } from '../http/body';
import { notFound, Problem } from '../http/problem';
import type { Metrics } from '../signals/metrics';
import { accessLimits } from './access-limits';
import { placeOf, rememberPlace } from './known-places';
import { credentialsOf, deletePasskey, insertPasskey, passkeyForSignIn, passkeysOf, passkeyUsed } from './passkeys';
import { meOf, passwordHashOf, personById } from './queries';
import { beginSession, deviceWords } from './sessions';
import { signInLimits, tooMany } from './sign-in-limits';

declare module 'express-session' {
  interface SessionData {
    /** What a passkey has to sign next, and until when. */
    challenge: { readonly value: string; readonly until: number };
  }
}

/** A person looks at their device, finds a finger, tries another. */
const CHALLENGE_MS = 5 * 60_000;
const MOST_PASSKEYS = 20;

class PasskeyBody {
  @IsObject({ message: 'what the device signed' }) response: object;
}

class CurrentBody {
  @IsString({ message: 'text' }) @MaxLength(200, { message: 'at most 200 characters' }) current: string;
}

const NOT_KNOWN = new Problem(
  401,
  'Not signed in',
  'This passkey opens nothing here. Sign in with your password, or choose another.',
);

/** Where the application is for the browser that asks: a passkey is bound to it. */
function siteOf(request: Request): { readonly expectedOrigin: string; readonly rpId: string } {
  return { expectedOrigin: `${request.protocol}://${request.get('host') ?? ''}`, rpId: request.hostname };
}

/** What is to be signed, once: taken out as it is looked at. */
function takenChallenge(request: Request): string {
  const { challenge } = request.session;
  delete request.session.challenge;
  if (!challenge || challenge.until < Date.now())
    throw new Problem(409, 'Too late', 'That took too long, or was tried twice. Try again.');
  return challenge.value;
}

/** Signing in with a passkey: no name is asked for, the device knows whose it is. */
export function passkeySessionRoutes(pool: Pool, metrics: Metrics): Router {
  const limits = accessLimits(pool);
  const router = Router();

  router.post('/options', async (request, response) => {
    await limits.take('passkey', placeOf(request).address);
    const options = await generateAuthenticationOptions({ rpID: siteOf(request).rpId, userVerification: 'required' });
    request.session.challenge = { value: options.challenge, until: Date.now() + CHALLENGE_MS };
    response.json(options);
  });

  router.post('/', async (request, response) => {
    const place = placeOf(request);
    await limits.take('passkey', place.address);
    const answer = bodyAs(PasskeyBody, request.body).response as AuthenticationResponseJSON;
    const expectedChallenge = takenChallenge(request);
    const known = typeof answer.id === 'string' ? await passkeyForSignIn(pool, answer.id) : undefined;
    const { expectedOrigin, rpId } = siteOf(request);
    const checked =
      known &&
      (await verifyAuthenticationResponse({
        response: answer,
        expectedChallenge,
        expectedOrigin,
        expectedRPID: rpId,
        credential: known.credential,
        requireUserVerification: true,
      }).catch(() => undefined));
    if (!known || !checked?.verified) {
      metrics.signIn('wrong');
      throw NOT_KNOWN;
    }
    metrics.signIn('right');
    const { asker, credential } = known;
    const me = await inFirm(pool, asker, async (db) => {
      await passkeyUsed(db, credential.id, checked.authenticationInfo.newCounter);
      await rememberPlace(db, asker, place, response);
      await audit(db, asker, null, 'signed-in', { on: deviceWords(request.get('user-agent') ?? ''), with: 'passkey' });
      return meOf(db, asker.personId);
    });
    await beginSession(request, asker);
    response.json(me);
  });

  return router;
}

/** My passkeys. A new one is made by whoever knows the password: a device found open gives nobody a way back in. */
export function myPasskeyRoutes(pool: Pool): Router {
  const limits = signInLimits(pool);
  const router = Router();

  router.get('/', async (request, response) => {
    const asker = askerOf(request);
    response.json({ passkeys: await inFirm(pool, asker, (db) => passkeysOf(db, asker.personId)) });
  });

  router.post('/options', async (request, response) => {
    const asker = askerOf(request);
    const { current } = bodyAs(CurrentBody, request.body);
    const { address, device } = placeOf(request);
    const taken = await limits.take({ name: asker.personId, address, device, knownDevice: true, knownAddress: true });
    if ('waitMs' in taken) throw tooMany(taken.waitMs);
    const { me, credentials } = await inFirm(pool, asker, async (db) => {
      const right = await verify(await passwordHashOf(db, asker.personId), current).catch(() => false);
      if (!right) throw new Problem(403, 'Not your password', 'The password you have now is not that one.');
      return { me: await personById(db, asker.personId), credentials: await credentialsOf(db, asker.personId) };
    });
    await taken.giveBack();
    if (credentials.length >= MOST_PASSKEYS)
      throw new Problem(409, 'Enough passkeys', 'Take one away before you add another.');
    const options = await generateRegistrationOptions({
      rpName: 'Keen Gauge',
      rpID: siteOf(request).rpId,
      userName: me?.email ?? '',
      userDisplayName: me?.name ?? '',
      userID: new Uint8Array(Buffer.from(asker.personId.replaceAll('-', ''), 'hex')),
      attestationType: 'none',
      excludeCredentials: credentials,
      authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
    });
    request.session.challenge = { value: options.challenge, until: Date.now() + CHALLENGE_MS };
    response.json(options);
  });

  router.post('/', async (request, response) => {
    const asker = askerOf(request);
    const answer = bodyAs(PasskeyBody, request.body).response as RegistrationResponseJSON;
    const expectedChallenge = takenChallenge(request);
    const { expectedOrigin, rpId } = siteOf(request);
    const checked = await verifyRegistrationResponse({
      response: answer,
      expectedChallenge,
      expectedOrigin,
      expectedRPID: rpId,
      requireUserVerification: true,
    }).catch(() => undefined);
    if (!checked?.verified)
      throw new Problem(422, 'Not a passkey', 'The device did not make a passkey that can be used here. Try again.');
    const { credential } = checked.registrationInfo;
    const device = deviceWords(request.get('user-agent') ?? '').slice(0, 100);
    const passkeys = await inFirm(pool, asker, async (db) => {
      await insertPasskey(db, asker, credential, device);
      await audit(db, asker, null, 'passkey-added', { device });
      return passkeysOf(db, asker.personId);
    });
    response.status(201).json({ passkeys });
  });

  router.delete('/:passkeyId', async (request, response) => {
    const asker = askerOf(request);
    const id = idParameter(request, 'passkeyId', 'passkey');
    const passkeys = await inFirm(pool, asker, async (db) => {
      if (!(await deletePasskey(db, asker.personId, id))) throw notFound('passkey');
      await audit(db, asker, null, 'passkey-removed');
      return passkeysOf(db, asker.personId);
    });
    response.json({ passkeys });
  });

  return router;
}
