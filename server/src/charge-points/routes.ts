import { limitProfile, readSettings, SETTING_KEYS } from '@keen-gauge/core/link/messages';
import { IsIn, IsNumber, IsOptional, Matches, Max, Min } from 'class-validator';
import { Router, type Request } from 'express';
import { randomUUID } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';
import type { Pool } from 'pg';
import { audit } from '../audit/queries';
import { inFirm, type Actor } from '../db/firm-scope';
import { askerOf, idParameter } from '../http/asker';
import { bodyAs } from '../http/body';
import { once, secretFor } from '../http/once';
import { notFound, Problem } from '../http/problem';
import { mustBeAllowed } from '../people/rights';
import { keyHash } from './link';
import {
  answerTo,
  chargePointsOf,
  endChargePoint,
  insertCall,
  insertChargePoint,
  jobHasProposal,
  samplesOf,
  type Answer,
  type Call,
  type ChargePoint,
} from './queries';

class LinkBody {
  @Matches(/^[A-Za-z0-9_-]{1,64}$/, { message: 'the id of the new equipment' }) proposalId: string;
}

const AMPERES = { message: 'a number of amperes from 0 to 3000' };

class AskBody {
  @IsIn(['limit', 'read-settings', 'write-settings'], { message: 'one of limit, read-settings, write-settings' })
  ask: 'limit' | 'read-settings' | 'write-settings';
  @IsOptional() @IsNumber({}, AMPERES) @Min(0, AMPERES) @Max(3000, AMPERES) limitA?: number;
  @IsOptional() @IsNumber({}, AMPERES) @Min(0, AMPERES) @Max(3000, AMPERES) setPointA?: number;
  @IsOptional() @IsNumber({}, AMPERES) @Min(0, AMPERES) @Max(3000, AMPERES) failSafeA?: number;
}

/** How long an answer is waited for before saying that none came. */
const WAIT_MS = 8000;

/** Charge points linked to a job: making and ending a link, what they tell, and asking something of them. */
export function chargePointRoutes(pool: Pool, serverSecret: string): Router {
  const router = Router({ mergeParams: true });
  const jobOf = (request: Request): string => idParameter(request, 'jobId', 'job');

  router.get('/', async (request, response) => {
    const jobId = jobOf(request);
    const points = await inFirm(pool, askerOf(request), async (db) => {
      const found = await chargePointsOf(db, jobId);
      const told = [];
      for (const point of found) told.push({ ...point, samples: await samplesOf(db, point.id) });
      return told;
    });
    response.json({ chargePoints: points });
  });

  router.post('/', async (request, response) => {
    const [asker, jobId] = [askerOf(request), jobOf(request)];
    const { proposalId } = bodyAs(LinkBody, request.body);
    const secret = (what: string): string => secretFor(request, asker, serverSecret, what).toString('hex');
    const [name, key] = [`KG-${secret('charge point').slice(0, 12)}`, secret('charge point key').slice(0, 32)];
    const { id } = await inFirm(pool, asker, async (db) => {
      await mustBeAllowed(db, asker, 'commission');
      if (!(await jobHasProposal(db, jobId, proposalId))) throw notFound('equipment on this job');
      return once(db, asker, request, async () => {
        const made = randomUUID();
        await insertChargePoint(db, asker, { id: made, jobId, proposalId, name, keyHash: keyHash(key) });
        await audit(db, asker, jobId, 'charge-point-linked', { name, proposalId });
        return { id: made };
      });
    });
    // The key is shown this once and kept nowhere.
    response.status(201).json({ id, name, key, path: `/ocpp/${name}` });
  });

  router.delete('/:pointId', async (request, response) => {
    const [asker, jobId, id] = [askerOf(request), jobOf(request), idParameter(request, 'pointId', 'charge point')];
    await inFirm(pool, asker, async (db) => {
      await mustBeAllowed(db, asker, 'commission');
      if (!(await endChargePoint(db, jobId, id))) throw notFound('charge point');
      await audit(db, asker, jobId, 'charge-point-let-go', { id });
    });
    response.status(204).end();
  });

  router.post('/:pointId/ask', async (request, response) => {
    const [asker, jobId, id] = [askerOf(request), jobOf(request), idParameter(request, 'pointId', 'charge point')];
    const body = bodyAs(AskBody, request.body);
    const point = await inFirm(pool, asker, async (db) => {
      await mustBeAllowed(db, asker, 'commission');
      return (await chargePointsOf(db, jobId)).find((each) => each.id === id);
    });
    if (!point) throw notFound('charge point');
    // Reading changes nothing; what is asked to be changed is recorded whether or not an answer comes.
    if (body.ask !== 'read-settings') {
      const { ask, ...asked } = body;
      await inFirm(pool, asker, (db) =>
        audit(db, asker, jobId, 'charge-point-asked', { name: point.name, ask, ...asked }),
      );
    }
    const answers = [];
    for (const call of callsFor(body)) answers.push(await askOf(pool, asker, point, call));
    const [first] = answers;
    response.json(
      body.ask === 'read-settings' && first
        ? { settings: readSettings(first) }
        : { accepted: answers.every(isAccepted) },
    );
  });

  return router;
}

function callsFor({ ask, limitA, setPointA, failSafeA }: AskBody): Omit<Call, 'id'>[] {
  if (ask === 'read-settings') return [{ action: 'GetConfiguration', payload: { key: Object.values(SETTING_KEYS) } }];
  if (ask === 'limit') {
    if (limitA === undefined) throw new Problem(422, 'Not valid', 'A limit needs limitA, in amperes.');
    return [{ action: 'SetChargingProfile', payload: limitProfile(limitA) }];
  }
  if (setPointA === undefined || failSafeA === undefined)
    throw new Problem(422, 'Not valid', 'Settings need setPointA and failSafeA, in amperes.');
  // The fail-safe first: until the set-point follows, the lower of two failures is in force.
  return [
    { action: 'ChangeConfiguration', payload: { key: SETTING_KEYS.failSafeA, value: String(failSafeA) } },
    { action: 'ChangeConfiguration', payload: { key: SETTING_KEYS.setPointA, value: String(setPointA) } },
  ];
}

function isAccepted(payload: Readonly<Record<string, unknown>>): boolean {
  return payload['status'] === 'Accepted';
}

/** Leaves a call for whichever instance holds the connection, and waits for its answer. */
async function askOf(pool: Pool, asker: Actor, point: ChargePoint, call: Omit<Call, 'id'>) {
  if (!point.connected)
    throw new Problem(
      409,
      'Not connected',
      'The charge point is not connected: nothing was sent. Look at its network and its key.',
    );
  const id = randomUUID();
  await inFirm(pool, asker, (db) => insertCall(db, asker, point.id, { id, ...call }));
  const until = Date.now() + WAIT_MS;
  while (Date.now() < until) {
    await pause(200);
    const answer: Answer | null = await inFirm(pool, asker, (db) => answerTo(db, id));
    if (answer && 'result' in answer) return answer.result;
    if (answer) throw new Problem(502, 'Refused by the charge point', `It answered: ${answer.error}.`);
  }
  throw new Problem(
    504,
    'No answer',
    'The charge point did not answer in time. What it did is not known: read its settings.',
  );
}
