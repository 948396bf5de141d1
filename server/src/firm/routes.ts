import { EquipmentProfile } from '@keen-gauge/core/firm/equipment';
import { FirmChecklists } from '@keen-gauge/core/firm/checklists';
import { FirmTerms } from '@keen-gauge/core/firm/option-terms';
import { Router } from 'express';
import type { Pool } from 'pg';
import { audit } from '../audit/queries';
import { inFirm } from '../db/firm-scope';
import { askerOf, idParameter } from '../http/asker';
import { bodyAs, bodyObject } from '../http/body';
import { profilesOf, putProfile, putTerms, termsOf } from './queries';
import { once } from '../http/once';
import { mustBeAllowed } from '../people/rights';
import { putChecklists } from './rules';
import { triedOnSurveys } from './tried';

/** What a firm sets for itself: its kinds of charging equipment, and what options cost and how long they take. */
export function firmRoutes(pool: Pool): Router {
  const router = Router();

  router.get('/equipment', async (request, response) => {
    response.json({ profiles: await inFirm(pool, askerOf(request), profilesOf) });
  });

  router.post('/equipment/:profileId', async (request, response) => {
    const asker = askerOf(request);
    const id = idParameter(request, 'profileId', 'profile');
    const profile = bodyAs(EquipmentProfile, { ...bodyObject(request.body), id });
    const answer = await inFirm(pool, asker, async (db) => {
      await mustBeAllowed(db, asker, 'change-equipment');
      return once(db, asker, request, async () => {
        await putProfile(db, asker, id, profile);
        await audit(db, asker, null, 'equipment-changed', { ...profile });
        return { profiles: await profilesOf(db) };
      });
    });
    response.status(201).json(answer);
  });

  router.post('/checklists', async (request, response) => {
    const asker = askerOf(request);
    const checklists = bodyAs(FirmChecklists, request.body);
    const answer = await inFirm(pool, asker, async (db) => {
      await mustBeAllowed(db, asker, 'change-rules');
      return once(db, asker, request, async () => {
        await putChecklists(db, asker, checklists);
        await audit(db, asker, null, 'checklists-changed', { ...checklists });
        return { rules: await triedOnSurveys(db) };
      });
    });
    response.status(201).json(answer);
  });

  router.get('/terms', async (request, response) => {
    response.json({ terms: await inFirm(pool, askerOf(request), termsOf) });
  });

  router.post('/terms', async (request, response) => {
    const asker = askerOf(request);
    const terms = bodyAs(FirmTerms, request.body);
    const answer = await inFirm(pool, asker, async (db) => {
      await mustBeAllowed(db, asker, 'change-terms');
      return once(db, asker, request, async () => {
        await putTerms(db, asker, terms);
        await audit(db, asker, null, 'terms-changed', { ...terms });
        await triedOnSurveys(db);
        return { terms };
      });
    });
    response.status(201).json(answer);
  });

  return router;
}
