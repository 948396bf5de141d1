import { plainSurvey, readSurvey } from '@keen-gauge/core/survey/opening/read';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { sealedText } from '@keen-gauge/core/pack/sealed-text';
import { createHash, randomUUID } from 'node:crypto';
import { once } from 'node:events';
import type { IncomingMessage } from 'node:http';
import type { Agent } from 'supertest';
import { makePack } from './make';
import { makeCourt, savedWith } from '../testing/court';
import { makeJob, signAsItStands, testBench, type MadeJob, type TestBench } from '../testing/bench';

let bench: TestBench;
let anna: Agent;
let job: MadeJob;

beforeAll(async () => {
  bench = await testBench();
  anna = await bench.as('anna@a.example');
  job = await makeJob(anna);
});
afterAll(() => bench.close());

const sign = (agent: Agent, body: object) => agent.post(`/api/jobs/${job.id}/packs`).send(body);

/** Collects a download whole; supertest would make text of it. */
function bytes(download: unknown, done: (error: Error | null, body: Buffer) => void): void {
  const response = download as IncomingMessage;
  const parts: Buffer[] = [];
  response.on('data', (part: Buffer) => parts.push(part));
  void once(response, 'end').then(() => {
    done(null, Buffer.concat(parts));
  });
}

/** A file of a pack; as long as it is being made, asked for again as whoever wants it would. */
async function onceMade(path: string): Promise<Buffer> {
  for (;;) {
    const answer = await anna.get(path).buffer().parse(bytes);
    if (answer.status !== 503) {
      expect(answer.status).toBe(200);
      return answer.body as Buffer;
    }
  }
}

describe('signing off', () => {
  it('is for those who may', async () => {
    const refused = await sign(await bench.as('alan@a.example'), { revisionId: job.revisionId, reason: 'x' }).expect(
      403,
    );
    expect(refused.body).toMatchObject({ title: 'Not yours to sign' });
  });

  it('refuses a revision that is no longer the newest', async () => {
    await sign(anna, { revisionId: randomUUID(), reason: 'x' }).expect(409);
  });

  it('asks why, while something is missing', async () => {
    const refused = await sign(anna, { revisionId: job.revisionId }).expect(422);
    const { missing } = refused.body as { missing: { id: string }[] };
    expect(missing.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['meter-point-missing', 'fuse-rating-not-established', 'no-loads']),
    );
  });

  it('asks a reason of its own for each question of safety, named; one for all, or a word, is none', async () => {
    const reason = 'Operator asked for it early.';
    const refused = await sign(anna, { revisionId: job.revisionId, reason }).expect(422);
    expect(refused.body).toMatchObject({ title: 'Safety is not settled' });
    const { missing, faults } = refused.body as {
      missing: { key: string; safety: boolean }[];
      faults: { wrong: string }[];
    };
    const safety = missing.filter((each) => each.safety);
    expect(faults.map(({ wrong }) => wrong)).toHaveLength(safety.length);
    expect(safety.map(({ key }) => key)).toEqual(
      expect.arrayContaining(['fuse-rating-not-established cut-out', 'loop-not-known', 'condition-not-looked']),
    );
    const answeredBy = (words: string) => safety.map(({ key }) => ({ key, reason: words }));
    await sign(anna, { revisionId: job.revisionId, reason, reasons: answeredBy('ok') }).expect(422);
    await sign(anna, { revisionId: job.revisionId, reason, reasons: answeredBy('Seen to later.').slice(1) }).expect(
      422,
    );
    await sign(anna, { revisionId: job.revisionId, reasons: answeredBy('Seen to later.') }).expect(422);
  });

  it('is signed by the signer’s own name, and by no other two letters', async () => {
    const answerTo = async (name: string): Promise<unknown> =>
      (await sign(anna, { revisionId: job.revisionId, signature: { kind: 'typed', name } }).expect(422)).body;
    for (const name of ['xy', 'Alan', 'Anna B']) expect(await answerTo(name)).toMatchObject({ title: 'Not signed' });
    // Her own, however she writes it, is no hindrance: what is left is what is missing.
    for (const name of ['anna', ' ANNA '])
      expect(await answerTo(name)).toMatchObject({ title: 'Safety is not settled' });
  });

  it('freezes a numbered pack: JSON reads back the same, matches its fingerprint, and later edits leave it alone', async () => {
    const made = await signAsItStands(anna, job.id, job.revisionId, 'Operator asked for it early.');
    expect(made.status).toBe(201);
    const pack = made.body as { id: string; number: number; fingerprint: string };
    expect(pack).toMatchObject({
      number: 1,
      route: 'ask-then-fit',
      reason: 'Operator asked for it early.',
      signedBy: 'anna',
    });
    const json = (await anna.get(`/api/packs/${pack.id}/survey.json`).buffer().parse(bytes).expect(200)).body as Buffer;
    expect(createHash('sha256').update(json).digest('hex')).toBe(pack.fingerprint);
    const read = readSurvey(JSON.parse(json.toString('utf8')));
    expect('survey' in read && plainSurvey(read.survey)).toEqual(job.survey);

    await anna
      .post(`/api/jobs/${job.id}/survey/revisions`)
      .send({ id: randomUUID(), parentId: job.revisionId, changes: [{ kind: 'set', path: ['notes'], to: 'later' }] })
      .expect(201);
    const again = (await anna.get(`/api/packs/${pack.id}/survey.json`).buffer().parse(bytes)).body as Buffer;
    expect(again.equals(json)).toBe(true);
  });

  it('makes a tagged PDF in our own fonts', async () => {
    const { packs } = (await anna.get(`/api/jobs/${job.id}/packs`)).body as { packs: { id: string }[] };
    const pdf = await onceMade(`/api/packs/${packs[0]?.id ?? ''}/notice.pdf`);
    const text = pdf.toString('latin1');
    expect(text.slice(0, 8)).toBe('%PDF-1.7');
    expect(text).toContain('/MarkInfo');
    expect(text).toContain('/StructTreeRoot');
    expect(text).toContain('AtkinsonHyperlegible');
  });

  it('sent twice under one id, at once or later, is one pack; something else under it is refused', async () => {
    const other = await makeJob(anna);
    const { body } = await anna.post(`/api/jobs/${other.id}/packs`).send({ revisionId: other.revisionId });
    const { missing } = body as { missing: { key: string; safety: boolean }[] };
    const reasons = missing.filter(({ safety }) => safety).map(({ key }) => ({ key, reason: 'Answered for here.' }));
    const id = randomUUID();
    const send = (revisionId: string) =>
      anna.post(`/api/jobs/${other.id}/packs`).send({ id, revisionId, reason: 'Asked for early.', reasons });
    const answers = await Promise.all([send(other.revisionId), send(other.revisionId), send(other.revisionId)]);
    const later = await send(other.revisionId);
    expect([...answers, later].map(({ status }) => status)).toEqual([201, 201, 201, 201]);
    expect(new Set([...answers, later].map((each) => (each.body as { number: number }).number)).size).toBe(1);
    expect(((await anna.get(`/api/jobs/${other.id}/packs`)).body as { packs: object[] }).packs).toHaveLength(1);
    await anna.post(`/api/jobs/${job.id}/packs`).send({ id, revisionId: job.revisionId, reason: 'x' }).expect(409);
  });

  it('is fixed at once; its files follow, each stored once and the same however often they are made', async () => {
    const { packs } = (await anna.get(`/api/jobs/${job.id}/packs`)).body as { packs: { id: string; made: boolean }[] };
    const id = packs[0]?.id ?? '';
    const zip = (): Promise<Buffer> => onceMade(`/api/packs/${id}/pack.zip`);
    const first = await zip();
    await bench.owner.query('DELETE FROM pack_files WHERE pack_id = $1', [id]);
    const listed = (await anna.get(`/api/jobs/${job.id}/packs`)).body as { packs: { made: boolean }[] };
    expect(listed.packs[0]?.made).toBe(false);
    const firmId = bench.firms[0]?.firmId ?? '';
    await Promise.all([makePack(bench.app, firmId, id), makePack(bench.app, firmId, id)]);
    expect((await zip()).equals(first)).toBe(true);
    await makePack(bench.app, firmId, id);
    expect((await bench.owner.query('SELECT 1 FROM pack_files WHERE pack_id = $1', [id])).rowCount).toBe(1);
  });

  it('what was signed without a connection becomes a pack where it is what the server has, and is refused where it is another', async () => {
    const other = await makeJob(anna);
    const { body } = await anna.post(`/api/jobs/${other.id}/packs`).send({ revisionId: other.revisionId });
    const { missing } = body as { missing: { key: string; safety: boolean }[] };
    const reasons = missing.filter(({ safety }) => safety).map(({ key }) => ({ key, reason: 'Answered for here.' }));
    const at = '2026-03-02T08:15:00.000Z';
    const fingerprint = createHash('sha256')
      .update(sealedText(other.survey) ?? '')
      .digest('hex');
    const send = (there: object) =>
      anna
        .post(`/api/jobs/${other.id}/packs`)
        .send({ revisionId: other.revisionId, reason: 'Asked for early.', reasons, signedThere: there });
    const refused = await send({ at, fingerprint: 'f'.repeat(64) }).expect(409);
    expect(refused.body).toMatchObject({ title: 'Changed since you signed' });
    await send({ at: 'this morning', fingerprint }).expect(422);
    await send({ at, fingerprint: 'short' }).expect(422);
    await send({ at, fingerprint, photos: [randomUUID()] }).expect(201);
    const record = await bench.owner.query<{ details: object }>(
      "SELECT details FROM audit_entries WHERE job_id = $1 AND what = 'signed-off'",
      [other.id],
    );
    expect(record.rows[0]?.details).toMatchObject({ signedWithoutConnection: at });
  });

  it('is not another firm’s to read', async () => {
    const { packs } = (await anna.get(`/api/jobs/${job.id}/packs`)).body as { packs: { id: string }[] };
    const bea = await bench.as('bea@b.example');
    await bea.get(`/api/packs/${packs[0]?.id ?? ''}/notice.pdf`).expect(404);
    await bea.get(`/api/packs/${packs[0]?.id ?? ''}/survey.json`).expect(404);
  });
});

describe('the pack of one supply of a building', () => {
  it('is limited by that supply’s own fuse and bears its own customer; what is no supply is refused', async () => {
    const court = await makeCourt(anna);
    const { revisionId } = court;
    const path = `/api/jobs/${court.id}/packs`;
    await anna.post(path).send({ revisionId, supplyId: 'split-block' }).expect(422);
    const more = { supplyId: 'flat-2-switch-fuse' };
    const { body } = await signAsItStands(anna, court.id, revisionId, 'Asked for early.', more);
    const pack = body as { id: string };
    expect(pack).toMatchObject({ supplyName: 'Flat 2 switch-fuse' });
    const { text } = await anna.get(`/api/packs/${pack.id}/survey.json`).expect(200);
    const signed = JSON.parse(text) as Survey;
    expect(signed.supply.deviceId).toBe('flat-2-switch-fuse');
    expect(signed.place.customerName).toBe('B. Tester');
    // The whole site has no pack yet: nothing to compare it with.
    expect((await anna.get(`${path}/since`)).body).toEqual({ since: null });
    const ofTheFlat = `${path}/since?supply=flat-2-switch-fuse`;
    expect((await anna.get(ofTheFlat)).body).toMatchObject({ since: { packId: pack.id, lines: [] } });
    await savedWith(anna, court, (survey) => {
      survey.loads.push({
        id: 'shower',
        class: 'instantaneous-water-heating',
        powerW: 9200,
        nodeId: 'flat-2-switch-fuse',
      });
      return survey;
    });
    const { since } = (await anna.get(ofTheFlat)).body as { since: { lines: unknown[] } };
    expect(since.lines.length).toBeGreaterThan(0);
  });
});
