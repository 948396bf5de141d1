import { rulesById, type FirmRules } from '@keen-gauge/core/firm/firm-rules';
import { HouseRules, OperatorRules, operatorRulesFaults } from '@keen-gauge/core/firm/operator-rules';
import { Router } from 'express';
import type { Pool } from 'pg';
import { audit } from '../audit/queries';
import { inFirm } from '../db/firm-scope';
import { askerOf, idParameter } from '../http/asker';
import { bodyAs, bodyObject } from '../http/body';
import { once } from '../http/once';
import { invalid, notFound, Problem } from '../http/problem';
import { mustBeAllowed } from '../people/rights';
import { askFor } from '../tasks/queue';
import { triedOnSurveys } from './tried';
import { addRulesVersion, firmRules, rulesVersions, putHouseRules } from './rules';

/** A firm's rules: its own in every version, and the house rules. Supervisors change them, all see them. */
export function ruleRoutes(pool: Pool): Router {
  const router = Router();

  router.get('/', async (request, response) => {
    response.json({ rules: await inFirm(pool, askerOf(request), firmRules) });
  });

  router.get('/own/:rulesId/versions', async (request, response) => {
    const id = idParameter(request, 'rulesId', 'set of rules');
    const versions = await inFirm(pool, askerOf(request), (db) => rulesVersions(db, id));
    if (versions.length === 0) throw notFound('set of rules');
    response.json({ versions });
  });

  router.post('/own/:rulesId', async (request, response) => {
    const asker = askerOf(request);
    const id = idParameter(request, 'rulesId', 'set of rules');
    const { version, ...rest } = bodyObject(request.body);
    const own = bodyAs(OperatorRules, { ...rest, id });
    const faults = operatorRulesFaults(own);
    if (faults.length > 0) throw invalid(faults);
    const answer = await inFirm(pool, asker, async (db) => {
      await mustBeAllowed(db, asker, 'change-rules');
      return once(db, asker, request, async () => {
        const [known] = await rulesVersions(db, id);
        // Two people changing it at once: the second is told, not written over.
        if (known && known.rules.version !== version) throw CHANGED_MEANWHILE;
        const saved = await addRulesVersion(db, asker, id, own);
        if (!saved) throw CHANGED_MEANWHILE;
        await audit(db, asker, null, 'rules-changed', { title: saved.title, version: saved.version, rules: saved });
        await askFor(db, { firmId: asker.firmId }, 'resummarise', asker.firmId);
        return { rules: await triedOnSurveys(db) };
      });
    });
    response.status(201).json(answer);
  });

  router.post('/house', async (request, response) => {
    const asker = askerOf(request);
    const house = bodyAs(HouseRules, request.body);
    const answer = await inFirm(pool, asker, async (db) => {
      await mustBeAllowed(db, asker, 'change-rules');
      return once(db, asker, request, async () => {
        mustNameWhatThereIs(house, await firmRules(db));
        await putHouseRules(db, asker, house);
        await audit(db, asker, null, 'house-rules-changed', { ...house });
        await askFor(db, { firmId: asker.firmId }, 'resummarise', asker.firmId);
        return { rules: await triedOnSurveys(db) };
      });
    });
    response.status(201).json(answer);
  });

  return router;
}

const CHANGED_MEANWHILE = new Problem(
  409,
  'Changed since you looked',
  'Somebody saved this set of rules meanwhile. Look at it again.',
);

/** Refuses house rules that name a set of rules there is not, or an area twice. */
function mustNameWhatThereIs(house: HouseRules, { own }: FirmRules): void {
  const named = [house.defaultRulesId, ...house.areas.map(({ rulesId }) => rulesId)];
  const unknown = named.find((id) => rulesById(id, own) === undefined);
  if (unknown !== undefined)
    throw invalid([{ path: '$', wrong: `names the rules "${unknown}"`, expected: 'one there is' }]);
  if (new Set(house.areas.map(({ area }) => area)).size < house.areas.length)
    throw invalid([{ path: '$.areas', wrong: 'has an area twice', expected: 'each area once' }]);
}
