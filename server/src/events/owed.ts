import { owedOf, type Owed } from '@keen-gauge/core/after/owed';
import { assess } from '@keen-gauge/core/assess';
import { rulesFor } from '@keen-gauge/core/firm/firm-rules';
import type { PoolClient } from 'pg';
import { firmRules } from '../firm/rules';
import { notFound } from '../http/problem';
import { packsOf } from '../packs/queries';
import { headOf } from '../surveys/queries';
import { eventsOf } from './queries';

/** What a job still owes, by its survey as it is now and everything entered so far. */
export async function owedBy(db: PoolClient, jobId: string): Promise<Owed[]> {
  const head = await headOf(db, jobId);
  if (!head) throw notFound('job');
  const rules = await firmRules(db);
  const { survey } = head;
  const pack = rulesFor(survey.place.meterPointNumber, rules);
  return owedOf({
    survey,
    assessment: assess(survey, pack),
    pack,
    events: await eventsOf(db, jobId),
    checklists: rules.checklists,
    packs: (await packsOf(db, jobId)).length,
  });
}
