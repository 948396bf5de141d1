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
    const profiles = await inFirm(pool, asker, async (db) => {
      await mustBeAllowed(db, asker, 'change-equipment');
      await putProfile(db, asker, id, profile);
      await audit(db, asker, null, 'equipment-changed', { ...profile });
      return profilesOf(db);
    });
    response.status(201).json({ profiles });
  });

  router.post('/checklists', async (request, response) => {
    const asker = askerOf(request);
    const checklists = bodyAs(FirmChecklists, request.body);
    const rules = await inFirm(pool, asker, async (db) => {
      await mustBeAllowed(db, asker, 'change-rules');
      await putChecklists(db, asker, checklists);
      await audit(db, asker, null, 'checklists-changed', { ...checklists });
      return triedOnSurveys(db);
    });
    response.status(201).json({ rules });
  });

  router.get('/terms', async (request, response) => {
    response.json({ terms: await inFirm(pool, askerOf(request), termsOf) });
  });

  router.post('/terms', async (request, response) => {
    const asker = askerOf(request);
    const terms = bodyAs(FirmTerms, request.body);
    await inFirm(pool, asker, async (db) => {
      await mustBeAllowed(db, asker, 'change-terms');
      await putTerms(db, asker, terms);
      await audit(db, asker, null, 'terms-changed', { ...terms });
      await triedOnSurveys(db);
    });
    response.status(201).json({ terms });
  });

  return router;
}
