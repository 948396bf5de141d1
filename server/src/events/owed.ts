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
  const firm = await firmRules(db);
  const { survey } = head;
  const rules = rulesFor(survey.place.meterPointNumber, firm);
  return owedOf({
    survey,
    assessment: assess(survey, rules),
    rules,
    events: await eventsOf(db, jobId),
    checklists: firm.checklists,
    packs: (await packsOf(db, jobId)).length,
  });
}
