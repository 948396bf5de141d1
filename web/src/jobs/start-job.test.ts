/** @jest-environment jsdom */
import 'fake-indexeddb/auto';
import { NoAnswer, ServerProblem } from '../api/client';
import { keepFor, keptAnswer } from '../offline/answers';
import { newJob, newJobs } from '../offline/new-jobs';
import { startJob, tellOfJob } from './start-job';

const createJob = jest.fn();
jest.mock('../api/jobs', () => ({ createJob: (job: unknown) => createJob(job) as unknown }));

const JOB = { place: '2 Quarry Row, Netherby', wanted: 'Vehicle charger' };
let id = '';

beforeEach(() => {
  createJob.mockReset();
  keepFor('anna');
  id = crypto.randomUUID();
});

describe('starting a job', () => {
  it('is the server’s where it answers, and nothing is kept here', async () => {
    createJob.mockResolvedValue({ id, number: 7 });
    expect(await startJob({ id, ...JOB }, 'anna')).toEqual({ id, number: 7 });
    expect(await newJob(id)).toBeUndefined();
    expect(await tellOfJob(id)).toBe(true);
  });

  it('without it, is made here: a job without a number, and a survey as the server would begin it', async () => {
    createJob.mockRejectedValue(new NoAnswer());
    expect(await startJob({ id, ...JOB }, 'anna')).toMatchObject({ id, number: 0, state: 'to-survey' });
    const kept = await newJob(id);
    expect(kept).toMatchObject({ personId: 'anna', ...JOB });
    const head = (await keptAnswer(`/jobs/${id}/survey`))?.body;
    expect(head).toMatchObject({
      revisionId: kept?.revisionId,
      seq: 1,
      survey: { place: { addressLine1: '2 Quarry Row', town: 'Netherby' } },
    });
  });

  it('told of later, goes under the same ids, once, and takes its number', async () => {
    createJob.mockRejectedValueOnce(new NoAnswer());
    await startJob({ id, ...JOB }, 'anna');
    const { revisionId } = (await newJob(id)) ?? {};
    createJob.mockRejectedValueOnce(new NoAnswer());
    await expect(tellOfJob(id)).rejects.toThrow(NoAnswer);
    createJob.mockResolvedValueOnce({ id, number: 31 });
    expect(await tellOfJob(id)).toBe(true);
    expect(createJob).toHaveBeenLastCalledWith({ id, ...JOB, revisionId });
    expect((await keptAnswer(`/jobs/${id}`))?.body).toEqual({ id, number: 31 });
    expect((await newJobs('anna')).some((each) => each.id === id)).toBe(false);
  });

  it('told of before, and only the answer lost, is known', async () => {
    createJob.mockRejectedValueOnce(new NoAnswer());
    await startJob({ id, ...JOB }, 'anna');
    createJob.mockRejectedValueOnce(new ServerProblem(409, 'Taken', '', {}));
    expect(await tellOfJob(id)).toBe(true);
    expect(await newJob(id)).toBeUndefined();
  });

  it('refused, stays here and says why', async () => {
    createJob.mockRejectedValueOnce(new NoAnswer());
    await startJob({ id, ...JOB }, 'anna');
    createJob.mockRejectedValueOnce(new ServerProblem(422, 'Not valid', 'The place is too long.', {}));
    expect(await tellOfJob(id)).toBe(false);
    expect(await newJob(id)).toMatchObject({ refused: 'The place is too long.' });
  });

  it('like another house, waits for the server', async () => {
    createJob.mockRejectedValue(new NoAnswer());
    await expect(startJob({ id, ...JOB, like: 'job-1' }, 'anna')).rejects.toThrow(NoAnswer);
    expect(await newJob(id)).toBeUndefined();
  });
});
