import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Agent } from 'supertest';
import { startOperator } from '../../../standins/operator/service';
import { makeJob, signAsItStands, testBench, type TestBench } from '../testing/bench';
import { makeCourt } from '../testing/court';
import { patienceMs } from './desk-client';
import { openMetrics } from '../signals/metrics';
import { taskHandlers } from '../tasks/handlers';
import { startWorkers } from '../tasks/worker';

/** The stand-in operator on a port of its own, and an outbox worked by hand: nothing here waits for a clock. */
let bench: TestBench;
let anna: Agent;
let desk: Server;
let address: string;
const folder = mkdtempSync(join(tmpdir(), 'desk-'));
const file = join(folder, 'desk.json');
const operators = new Map<string, string>();

const start = async (port = 0): Promise<void> => {
  desk = await startOperator({ port, file });
  address = `http://127.0.0.1:${(desk.address() as AddressInfo).port}`;
  operators.set('*', address);
};
const stop = (): Promise<void> =>
  new Promise((resolve) => {
    desk.closeAllConnections();
    desk.close(() => {
      resolve();
    });
  });

beforeAll(async () => {
  await start();
  bench = await testBench(operators, 'by hand');
  anna = await bench.as('anna@a.example');
});
afterAll(async () => {
  await bench.close();
  await stop();
  rmSync(folder, { recursive: true });
});
beforeEach(async () => {
  await setDesk({ mood: 'well', answerNext: { answer: 'accepted' } });
  await bench.owner.query("UPDATE submissions SET state = 'stopped'");
  await bench.owner.query("DELETE FROM tasks WHERE kind = 'hand-in'");
});

interface Handed {
  readonly reference: string;
  readonly times: number;
  readonly pack: string;
}

async function setDesk(change: object): Promise<{ handed: Handed[] }> {
  const response = await fetch(`${address}/desk`, {
    method: 'PATCH',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(change),
  });
  expect(response.status).toBe(200);
  return (await response.json()) as { handed: Handed[] };
}
const handed = async (pack: string): Promise<Handed[]> =>
  (await setDesk({})).handed.filter((each) => each.pack === pack);

interface Conversation {
  readonly id: string;
  readonly state: string;
  readonly reference: string | null;
  readonly messages: readonly { readonly direction: string; readonly says: string }[];
}

/** A job with its pack signed, still with everything open: route and reason are the firm’s business, not the desk’s. */
async function signed(): Promise<{ jobId: string; packId: string; pack: string }> {
  const job = await makeJob(anna);
  const made = await signAsItStands(anna, job.id, job.revisionId, 'Asked for early.');
  expect(made.status).toBe(201);
  while (await bench.workOn('make-pack'));
  const { id, number } = made.body as { id: string; number: number };
  return { jobId: job.id, packId: id, pack: `P-${String(number).padStart(4, '0')}` };
}

async function asked(of: { jobId: string; packId: string }): Promise<string> {
  const id = randomUUID();
  await anna.post(`/api/jobs/${of.jobId}/submissions`).send({ id, packId: of.packId }).expect(201);
  return id;
}

/** One thing that is due, whatever wait was set for it. */
const oneStep = async (): Promise<void> => {
  await bench.owner.query("UPDATE tasks SET next_at = now() WHERE kind = 'hand-in'");
  expect(await bench.workOn('hand-in')).toBe(true);
};
async function conversation(jobId: string): Promise<Conversation> {
  const { conversations } = (await anna.get(`/api/jobs/${jobId}/submissions`).expect(200)).body as {
    conversations: Conversation[];
  };
  const [found] = conversations;
  if (!found) throw new Error('nothing was handed in');
  return found;
}
async function events(jobId: string): Promise<{ kind: string; details: Record<string, unknown> }[]> {
  return (
    (await anna.get(`/api/jobs/${jobId}/events`).expect(200)).body as {
      events: { kind: string; details: Record<string, unknown> }[];
    }
  ).events;
}
const says = async (jobId: string): Promise<string[]> => (await conversation(jobId)).messages.map((each) => each.says);

describe('each answer', () => {
  it.each([
    [{ answer: 'accepted' }, {}],
    [{ answer: 'accepted-if', condition: 'fuse-visit', note: 'We come first.' }, { condition: 'fuse-visit' }],
    [
      { answer: 'accepted-if', condition: 'limit', limitA: 16 },
      { condition: 'limit', limitA: 16 },
    ],
    [{ answer: 'asks-for-more', note: 'A photograph, please.' }, { note: 'A photograph, please.' }],
    [{ answer: 'un-loop-first' }, {}],
    [{ answer: 'refused', note: 'The street cannot carry it.' }, { note: 'The street cannot carry it.' }],
  ])('%j is entered once, with the reference, and the job is answered', async (answerNext, details) => {
    await setDesk({ answerNext });
    const job = await signed();
    await asked(job);
    await oneStep();
    expect((await conversation(job.jobId)).state).toBe('handed-in');
    expect((await anna.get(`/api/jobs/${job.jobId}`)).body).toMatchObject({ state: 'with-operator' });
    await oneStep();
    expect((await events(job.jobId)).map(({ kind }) => kind)).toEqual(['sent']);
    await setDesk({ skipDays: 20 });
    await oneStep();
    await oneStep();
    const [sent, answered, ...more] = await events(job.jobId);
    expect(more).toEqual([]);
    const { reference } = await conversation(job.jobId);
    expect(reference).toMatch(/^DESK-\d{5}$/);
    expect(sent).toMatchObject({ kind: 'sent', details: { reference, pack: job.pack, overLink: true } });
    expect(answered).toMatchObject({
      kind: 'answered',
      details: { answer: answerNext.answer, reference, overLink: true, ...details },
    });
    expect((await anna.get(`/api/jobs/${job.jobId}`)).body).toMatchObject({ state: 'answered' });
  });
  it('told twice, and once more under another id, is one entry and is seen to have been told again', async () => {
    await setDesk({ mood: 'twice' });
    const job = await signed();
    await asked(job);
    await oneStep();
    await setDesk({ skipDays: 20 });
    await oneStep();
    await oneStep();
    expect((await events(job.jobId)).map(({ kind }) => kind)).toEqual(['sent', 'answered']);
    expect((await says(job.jobId)).slice(2)).toEqual(['Accepted', 'Accepted (told again)']);
  });
  it('a second one that says something else is entered too, and the newest counts', async () => {
    const job = await signed();
    await asked(job);
    await oneStep();
    await setDesk({ skipDays: 20 });
    await oneStep();
    const { reference } = await conversation(job.jobId);
    await fetch(`${address}/desk/${reference ?? ''}/answers`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ answer: 'refused', note: 'We looked again.' }),
    });
    await oneStep();
    expect((await events(job.jobId)).map(({ details }) => details['answer'])).toEqual([
      undefined,
      'accepted',
      'refused',
    ]);
  });
});

describe('a desk that is not in order', () => {
  it('down: it is tried again, said once, and handed in when it is back', async () => {
    await setDesk({ mood: 'down' });
    const job = await signed();
    await asked(job);
    await oneStep();
    await oneStep();
    expect((await conversation(job.jobId)).state).toBe('waiting');
    expect(await says(job.jobId)).toEqual(['It is out of order (503).']);
    await setDesk({ mood: 'well' });
    await oneStep();
    expect((await conversation(job.jobId)).state).toBe('handed-in');
    expect(await handed(job.pack)).toHaveLength(1);
  });
  it('gone and started again in the middle: nothing is lost on either side', async () => {
    const job = await signed();
    await asked(job);
    await oneStep();
    const { port } = desk.address() as AddressInfo;
    await stop();
    await oneStep();
    expect((await says(job.jobId)).at(-1)).toBe('It cannot be reached.');
    await start(port);
    await setDesk({ skipDays: 20 });
    await oneStep();
    expect((await events(job.jobId)).map(({ kind }) => kind)).toEqual(['sent', 'answered']);
  });
  it('takes it and lets the line fall: told again under the same key, it has it once', async () => {
    await setDesk({ mood: 'drops' });
    const job = await signed();
    await asked(job);
    await oneStep();
    expect((await conversation(job.jobId)).state).toBe('waiting');
    expect(await events(job.jobId)).toEqual([]);
    await setDesk({ mood: 'well' });
    await oneStep();
    expect(await handed(job.pack)).toMatchObject([{ times: 2 }]);
    expect((await events(job.jobId)).map(({ kind }) => kind)).toEqual(['sent']);
  });
  it('finds a pack that is not as it was signed, and sends it back: that is not tried again', async () => {
    const job = await signed();
    await bench.owner.query("UPDATE pack_files SET bundle = 'broken' WHERE pack_id = $1", [job.packId]);
    await asked(job);
    await oneStep();
    expect(await conversation(job.jobId)).toMatchObject({ state: 'returned' });
    expect((await says(job.jobId)).at(-1)).toBe('Not taken: It cannot be opened as an archive.');
    expect(await bench.workOn('hand-in')).toBe(false);
  });
});

describe('an instance that dies', () => {
  it('in the middle of handing in: another tells it again once the claim has run out, and it is there once', async () => {
    const job = await signed();
    const id = await asked(job);
    // It claimed, the desk took it, and then it was gone before it could write anything down.
    await bench.app.query("SELECT * FROM claim_task(ARRAY['hand-in'], 60)");
    const archive = await anna.get(`/api/packs/${job.packId}/pack.zip`).responseType('blob').expect(200);
    await fetch(`${address}/submissions`, {
      method: 'POST',
      headers: { 'content-type': 'application/zip', 'idempotency-key': id },
      body: new Uint8Array(archive.body as Buffer),
    });
    expect(await bench.workOn('hand-in')).toBe(false);
    await anna.post(`/api/jobs/${job.jobId}/submissions/${id}/stop`).expect(409);
    await bench.owner.query("UPDATE tasks SET claimed_until = now() - interval '1 second' WHERE about = $1", [id]);
    expect(await bench.workOn('hand-in')).toBe(true);
    expect(await handed(job.pack)).toMatchObject([{ times: 2 }]);
    expect((await events(job.jobId)).map(({ kind }) => kind)).toEqual(['sent']);
  });
  it('two of them on one database hand each pack in once', async () => {
    const jobs = [];
    for (let made = 0; made < 6; made += 1) jobs.push(await signed());
    await Promise.all(jobs.map(asked));
    const handlers = taskHandlers(bench.app, operators);
    const both = [1, 2].map(() => startWorkers(bench.app, bench.log, openMetrics(), handlers));
    for (let tries = 0; tries < 200; tries += 1) {
      const open = await bench.owner.query("SELECT 1 FROM submissions WHERE state = 'waiting'");
      if (open.rowCount === 0) break;
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    await Promise.all(both.map((each) => each.stop()));
    for (const job of jobs) {
      expect(await handed(job.pack)).toMatchObject([{ times: 1 }]);
      expect((await events(job.jobId)).filter(({ kind }) => kind === 'sent')).toHaveLength(1);
    }
  });
});

describe('what may be handed in', () => {
  it('a pack once, however often it is asked for', async () => {
    const job = await signed();
    const id = await asked(job);
    await anna.post(`/api/jobs/${job.jobId}/submissions`).send({ id, packId: job.packId }).expect(201);
    await anna.post(`/api/jobs/${job.jobId}/submissions`).send({ id: randomUUID(), packId: job.packId }).expect(409);
  });
  it('the newest pack only, and none of another firm or another job', async () => {
    const [job, other] = [await signed(), await signed()];
    const head = await anna.get(`/api/jobs/${job.jobId}/survey`).expect(200);
    const { revisionId } = head.body as { revisionId: string };
    expect((await signAsItStands(anna, job.jobId, revisionId, 'Again.')).status).toBe(201);
    const old = await anna
      .post(`/api/jobs/${job.jobId}/submissions`)
      .send({ id: randomUUID(), packId: job.packId })
      .expect(409);
    expect(old.body).toMatchObject({ title: 'Not the newest' });
    await anna.post(`/api/jobs/${job.jobId}/submissions`).send({ id: randomUUID(), packId: other.packId }).expect(404);
    const bea = await bench.as('bea@b.example');
    await bea.post(`/api/jobs/${other.jobId}/submissions`).send({ id: randomUUID(), packId: other.packId }).expect(404);
    await bea.get(`/api/jobs/${other.jobId}/submissions`).expect(404);
  });
  it('of a building the newest of the site and of each supply, each once', async () => {
    const court = await makeCourt(anna);
    const pack = async (more?: { supplyId: string }): Promise<string> => {
      const { body } = await signAsItStands(anna, court.id, court.revisionId, 'Asked for early.', more);
      return (body as { id: string }).id;
    };
    const flat = { supplyId: 'flat-2-switch-fuse' };
    const [former, ofTheFlat, ofTheSite] = [await pack(flat), await pack(flat), await pack()];
    while (await bench.workOn('make-pack'));
    const path = `/api/jobs/${court.id}/submissions`;
    const { linkedPackIds } = (await anna.get(path)).body as { linkedPackIds: string[] };
    expect(new Set(linkedPackIds)).toEqual(new Set([ofTheFlat, ofTheSite]));
    const handIn = (packId: string) => anna.post(path).send({ id: randomUUID(), packId });
    await handIn(former).expect(409);
    await handIn(ofTheFlat).expect(201);
    const both = await handIn(ofTheSite).expect(201);
    expect((both.body as { conversations: unknown[] }).conversations).toHaveLength(2);
  });
  it('it can be stopped before it is sent; after tries it says that it is not known whether it is there', async () => {
    const job = await signed();
    const id = await asked(job);
    await anna.post(`/api/jobs/${job.jobId}/submissions/${id}/stop`).expect(200);
    expect(await says(job.jobId)).toEqual(['Stopped before it was sent']);
    expect(await bench.workOn('hand-in')).toBe(false);
    await setDesk({ mood: 'down' });
    const again = await signed();
    const tried = await asked(again);
    await oneStep();
    await anna.post(`/api/jobs/${again.jobId}/submissions/${tried}/stop`).expect(200);
    expect((await says(again.jobId)).at(-1)).toMatch(/^Stopped after 1 try; whether the operator has it is not known/);
  });
  it('stopped, it can be taken up again, under the key it had: the desk has it once whatever had arrived', async () => {
    await setDesk({ mood: 'drops' });
    const job = await signed();
    const id = await asked(job);
    await oneStep();
    await anna.post(`/api/jobs/${job.jobId}/submissions/${id}/stop`).expect(200);
    await setDesk({ mood: 'well' });
    await asked(job);
    await oneStep();
    expect(await handed(job.pack)).toMatchObject([{ times: 2 }]);
    expect((await conversation(job.jobId)).id).toBe(id);
    expect((await says(job.jobId)).slice(1, 3)).toEqual([
      'Stopped after 1 try; whether the operator has it is not known: ask.',
      'Tried again',
    ]);
    expect((await events(job.jobId)).map(({ kind }) => kind)).toEqual(['sent']);
  });
  it('a large one is waited for as long as a slow line takes', () => {
    // 60 MB at 100 kB a second are ten minutes, the longest there is.
    expect(patienceMs(0)).toBe(12_000);
    expect(patienceMs(1_000_000)).toBe(22_000);
    expect(patienceMs(200_000_000)).toBe(600_000);
  });
  it('by hand where there is no link', async () => {
    operators.clear();
    const job = await signed();
    const refused = await anna
      .post(`/api/jobs/${job.jobId}/submissions`)
      .send({ id: randomUUID(), packId: job.packId })
      .expect(409);
    expect(refused.body).toMatchObject({ title: 'No link' });
    operators.set('*', address);
  });
});
