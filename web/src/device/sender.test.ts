/** @jest-environment jsdom */
import 'fake-indexeddb/auto';
import { NoAnswer, ServerProblem } from '../api/client';
import { keepFor } from '../offline/answers';
import { keepLog, keptLogs } from '../offline/logs';
import { keepNewJob, newJobs } from '../offline/new-jobs';
import { keepSignature, keptSignatures } from '../offline/signatures';
import { forgetWaiting, keepWaiting, waitingFor } from '../photos/waiting';
import { entriesOf, keep } from '../survey/kept';
import { sendEverything } from './sender';
import { sendingNow } from './sending';
import { forgetUnsent, unsent } from './unsent';

const went: string[] = [];
const refusing = new Map<string, Error>();
const step = (name: string): Promise<void> => {
  const refused = refusing.get(name);
  if (refused) return Promise.reject(refused);
  went.push(name);
  return Promise.resolve();
};

jest.mock('../api/jobs', () => ({
  createJob: async ({ id }: { id: string }) => {
    await step(`job ${id}`);
    return { id, number: 5 };
  },
}));
jest.mock('../api/logs', () => ({ sendLogAs: (_job: string, id: string) => step(`log ${id}`) }));
jest.mock('../api/surveys', () => ({
  readHead: () => Promise.resolve({ revisionId: 'head-now' }),
  keepHead: () => Promise.resolve(),
}));
jest.mock('../api/packs', () => ({
  signOff: (_job: string, { id, revisionId }: { id: string; revisionId: string }) => step(`sign ${id} ${revisionId}`),
}));
// What is reported goes nowhere here.
jest.mock('../api/report', () => ({ report: () => undefined }));
jest.mock('../survey/send-kept', () => ({
  sendTyping: async (jobId: string, personId: string) => {
    await step(`typing ${jobId}`);
    const { forgetTyping } = jest.requireActual<typeof import('../survey/kept')>('../survey/kept');
    await forgetTyping(personId, jobId);
    return typed;
  },
}));
jest.mock('../photos/send-waiting', () => ({
  sendPictures: async (personId: string, jobId: string) => {
    await step(`pictures ${jobId}`);
    for (const { id } of await waitingFor(personId, jobId)) await forgetWaiting(id);
  },
}));
let typed = 'sent';

const ME = 'anna';
const NEW_JOB = { personId: ME, place: 'Here', wanted: 'Charger', revisionId: 'first', madeAt: 1 };
const SIGNATURE = {
  personId: ME,
  at: '2026-03-02T08:00:00.000Z',
  fingerprint: 'f'.repeat(64),
  photos: [],
  reason: '',
  reasons: [],
  signature: { kind: 'typed', name: 'Anna' } as const,
};

async function aDay(jobId: string): Promise<void> {
  // Opened anew: what was taken away of it before is forgotten.
  await entriesOf(ME, jobId, 'tab');
  await keepNewJob({ ...NEW_JOB, id: jobId });
  await keepLog({ id: `log-${jobId}`, personId: ME, jobId, name: 'week.csv', file: new Blob(['a']) });
  await keep({ personId: ME, jobId, tabId: 'tab', base: {} as never, document: {} as never, conflicts: [] });
  await keepWaiting({ id: `p-${jobId}`, personId: ME, jobId, file: new Blob(['b']), fileName: 'a.jpg', chosenAt: 1 });
  await keepSignature({ ...SIGNATURE, id: `s-${jobId}`, jobId });
}

beforeEach(async () => {
  // One tab alone.
  Object.defineProperty(navigator, 'locks', {
    configurable: true,
    value: {
      request: (_name: string, _how: object, work: (lock: object) => unknown) => work({}),
      query: () => Promise.resolve({ held: [] }),
    },
  });
  keepFor(ME);
  await forgetUnsent(ME);
  went.splice(0);
  refusing.clear();
  typed = 'sent';
});

describe('a day’s work sent', () => {
  it('goes job by job: the job, its logs, what was typed, its pictures, and at last what was signed', async () => {
    await aDay('one');
    expect(await unsent(ME)).toEqual([
      { jobId: 'one', isNew: true, isTyped: true, pictures: 1, logs: 1, signatures: 1 },
    ]);
    await sendEverything(ME);
    expect(went).toEqual(['job one', 'log log-one', 'typing one', 'pictures one', 'sign s-one head-now']);
    expect(await unsent(ME)).toEqual([]);
    expect(sendingNow()).toMatchObject({ isRunning: false, toDecide: new Set() });
  });

  it('stops where the connection goes, and goes on from there: nothing that went goes again', async () => {
    await aDay('one');
    refusing.set('pictures one', new NoAnswer());
    await sendEverything(ME);
    expect(went).toEqual(['job one', 'log log-one', 'typing one']);
    expect(sendingNow().isRunning).toBe(false);
    expect((await unsent(ME))[0]).toMatchObject({ isNew: false, isTyped: false, pictures: 1, logs: 0, signatures: 1 });
    refusing.clear();
    await sendEverything(ME);
    expect(went.slice(3)).toEqual(['pictures one', 'sign s-one head-now']);
  });

  it('a job the server will not take keeps everything of it here, and the next one goes', async () => {
    await aDay('one');
    await aDay('two');
    refusing.set('job one', new ServerProblem(422, 'Not valid', 'Too long.', {}));
    await sendEverything(ME);
    expect(went).toEqual(['job two', 'log log-two', 'typing two', 'pictures two', 'sign s-two head-now']);
    expect(await unsent(ME)).toMatchObject([{ jobId: 'one', refused: 'Too long.', pictures: 1 }]);
    expect(await newJobs(ME)).toHaveLength(1);
  });

  it('what was signed waits for a decision where the survey is another now, and is tried again only when asked', async () => {
    await keepSignature({ ...SIGNATURE, id: 's', jobId: 'one' });
    refusing.set('sign s head-now', new ServerProblem(409, 'Changed since you signed', 'It is another.', {}));
    await sendEverything(ME);
    expect([...sendingNow().toDecide]).toEqual(['one']);
    expect(await keptSignatures(ME)).toMatchObject([{ problem: 'It is another.' }]);
    refusing.clear();
    await sendEverything(ME);
    expect(went).toEqual([]);
    await sendEverything(ME, true);
    expect(went).toEqual(['sign s head-now']);
    expect(await keptSignatures(ME)).toEqual([]);
  });

  it('where two answered the same, somebody decides before anything is signed', async () => {
    await aDay('one');
    typed = 'to-decide';
    await sendEverything(ME);
    expect([...sendingNow().toDecide]).toEqual(['one']);
    expect(went).not.toContain('sign s-one head-now');
  });

  it('a log the server will not take says why and does not hold up the rest', async () => {
    await aDay('one');
    refusing.set('log log-one', new ServerProblem(413, 'Too large', '', {}));
    await sendEverything(ME);
    expect(went).toContain('typing one');
    expect(await keptLogs(ME)).toMatchObject([{ refused: 'Too large' }]);
  });

  it('a job in trouble of its own holds up no other, and waits for a person', async () => {
    await aDay('one');
    await aDay('two');
    refusing.set('typing one', new ServerProblem(404, 'Not found', '', {}));
    await sendEverything(ME);
    expect(went).toContain('sign s-two head-now');
    expect([...sendingNow().toDecide]).toEqual(['one']);
  });

  it('what another tab has open is sent by that tab, and nothing of the job is signed before', async () => {
    await aDay('one');
    typed = 'open-elsewhere';
    await sendEverything(ME);
    expect(went).toEqual(['job one', 'log log-one', 'typing one']);
    expect(sendingNow().toDecide.size).toBe(0);
  });

  it('is one person’s: another’s stays', async () => {
    await aDay('one');
    await sendEverything('bea');
    expect(went).toEqual([]);
  });
});
