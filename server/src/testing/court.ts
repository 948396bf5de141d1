import { diff, type Value } from '@keen-gauge/core/record/changes';
import { plainSurvey } from '@keen-gauge/core/survey/opening/read';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { onShape } from '@keen-gauge/core/tree/edit';
import { STARTING_SHAPES } from '@keen-gauge/core/tree/shapes';
import { randomUUID } from 'node:crypto';
import type { Agent } from 'supertest';
import { makeJob, type MadeJob } from './bench';

/** For tests: a job whose survey is changed and saved, with the revision that is the newest then. */
export async function savedWith(
  agent: Agent,
  { id, revisionId }: Pick<MadeJob, 'id' | 'revisionId'>,
  change: (survey: Survey) => Survey,
): Promise<MadeJob> {
  const { survey } = (await agent.get(`/api/jobs/${id}/survey`)).body as { survey: Survey };
  const next = plainSurvey(change(structuredClone(survey)));
  const saved = await agent
    .post(`/api/jobs/${id}/survey/revisions`)
    .send({
      id: randomUUID(),
      parentId: revisionId,
      changes: diff(survey as unknown as Value, next as unknown as Value),
    })
    .expect(201);
  return { id, revisionId: (saved.body as { revisionId: string }).revisionId, survey: next };
}

/** For tests: a job of a building with a landlord’s supply and flats, the second of which has a customer. */
export async function makeCourt(agent: Agent): Promise<MadeJob> {
  return savedWith(agent, await makeJob(agent), (survey) => {
    const nodes = STARTING_SHAPES.find(({ id }) => id === 'landlord-and-flats')?.nodes ?? [];
    const court = onShape(survey, nodes, 3);
    court.site = { supplies: [{ id: 'two', nodeId: 'flat-2-switch-fuse', customerName: 'B. Tester' }] };
    return court;
  });
}
