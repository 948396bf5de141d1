/** @jest-environment jsdom */
import 'fake-indexeddb/auto';
import { NoAnswer } from '../api/client';
import { keepAnswer, keepFor, keptAnswer, keptPaths } from '../offline/answers';
import { chooseJob } from '../offline/chosen';
import { forgetCopies } from '../offline/person';
import { jobHere } from '../jobs/start-job';
import { carry, type Carrying } from './carry';

const asked: string[] = [];
let answers: Record<string, unknown> = {};
const job = (id: string, change: object = {}): object => ({
  ...jobHere({ id, place: id, wanted: 'Charger', madeAt: 0 }),
  changedAt: 'first',
  ...change,
});
const given = (...jobs: object[]): object => ({ jobs, total: jobs.length, stages: {} });

beforeEach(async () => {
  await forgetCopies();
  keepFor('anna');
  asked.splice(0);
  answers = {
    '/people': {},
    '/firm/equipment': {},
    '/firm/prices': {},
    '/firm/schemes': {},
    '/firm/terms': {},
    '/instruments': {},
    '/diary': {},
    '/jobs': given(job('mine'), job('others')),
    '/jobs?person=anna': given(job('mine'), job('done', { state: 'closed' })),
  };
  for (const id of ['mine', 'others', 'done']) {
    answers[`/jobs/${id}`] = job(id);
    answers[`/jobs/${id}/survey`] = { survey: { photos: [{ id: 'p' }] }, revisionId: id, seq: 1 };
    answers[`/jobs/${id}/events`] = {};
    answers[`/jobs/${id}/packs`] = {};
  }
  globalThis.fetch = ((path: string) => {
    const at = path.replace('/api', '');
    asked.push(at);
    const answer = answers[at];
    return answer === undefined
      ? Promise.reject(new Error('no link'))
      : Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve(answer) });
  }) as typeof fetch;
});

const DAY_MS = 86_400_000;

describe('taking along', () => {
  it('takes the jobs given to me and not closed, whole, with what the firm has and small pictures, and tells how far it is', async () => {
    const told: Carrying[] = [];
    await carry('anna', 14, (carrying) => told.push(carrying));
    expect(told).toEqual([
      { done: 0, of: 1 },
      { done: 1, of: 1 },
    ]);
    expect((await keptAnswer('/jobs/mine/survey'))?.body).toMatchObject({ revisionId: 'mine' });
    expect(await keptAnswer('/instruments')).toBeDefined();
    expect(asked).toContain('/jobs/mine/photos/p/thumb.jpg');
    expect(await keptAnswer('/jobs/others/survey')).toBeUndefined();
    expect(await keptAnswer('/jobs/done/survey')).toBeUndefined();
    // Known by name all the same.
    expect(await keptAnswer('/jobs/others')).toBeDefined();
  });

  it('takes a job that was chosen, whoever has it', async () => {
    await chooseJob('anna', 'others', true);
    await carry('anna', 14, () => undefined);
    expect(await keptAnswer('/jobs/others/survey')).toBeDefined();
  });

  it('fetches a survey again only where the server has changed it, whatever this device’s clock says', async () => {
    await carry('anna', 14, () => undefined);
    const surveys = (): number => asked.filter((path) => path === '/jobs/mine/survey').length;
    await carry('anna', 14, () => undefined);
    expect(surveys()).toBe(1);
    answers['/jobs/mine'] = job('mine', { changedAt: 'second' });
    await carry('anna', 14, () => undefined);
    expect(surveys()).toBe(2);
  });

  it('takes away what is older than the firm lets it be', async () => {
    await keepAnswer('/jobs/old/survey', {}, Date.now() - 8 * DAY_MS);
    await carry('anna', 7, () => undefined);
    expect((await keptPaths()).some(({ path }) => path === '/jobs/old/survey')).toBe(false);
  });

  it('stops where the connection goes, and what was taken is here', async () => {
    delete answers['/jobs/mine/survey'];
    await expect(carry('anna', 14, () => undefined)).rejects.toThrow(NoAnswer);
    expect(await keptAnswer('/people')).toBeDefined();
  });
});
