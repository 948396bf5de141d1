import { diff } from '@keen-gauge/core/record/changes';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { randomUUID } from 'node:crypto';
import type { Agent } from 'supertest';
import { makeJob, type MadeJob } from './bench';

/** For tests: a new job whose survey is the one given, saved as a revision. */
export async function surveyedJob(agent: Agent, survey: Survey): Promise<MadeJob> {
  const job = await makeJob(agent);
  return resurveyed(agent, job, survey);
}

/** For tests: the same job with another survey saved over the one it has. */
export async function resurveyed(agent: Agent, job: MadeJob, survey: Survey): Promise<MadeJob> {
  const revisionId = randomUUID();
  const plain = JSON.parse(JSON.stringify(survey)) as Survey;
  await agent
    .post(`/api/jobs/${job.id}/survey/revisions`)
    .send({
      id: revisionId,
      parentId: job.revisionId,
      changes: diff(job.survey as never, plain as never),
    })
    .expect(201);
  return { id: job.id, revisionId, survey: plain };
}
