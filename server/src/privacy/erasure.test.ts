import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import type { Agent } from 'supertest';
import yauzl from 'yauzl';
import { inFirm } from '../db/firm-scope';
import { makeJob, signAsItStands, testBench, type TestBench } from '../testing/bench';
import { retain } from './erasure';

let bench: TestBench;
let anna: Agent;
beforeAll(async () => {
  bench = await testBench(undefined, 'by hand');
  anna = await bench.as('anna@a.example');
});
afterAll(() => bench.close());

/** Words that stand nowhere but with this customer. */
const MARKS = [
  'Quillback',
  '01632 960 777',
  'quillback@customer.example',
  'Zephyr Mews',
  '9712345600019',
  'Secretly buzzing',
];
const firmId = () => bench.firms[0]?.firmId ?? '';

async function picture(shade: number): Promise<Buffer> {
  return sharp({ create: { width: 80, height: 60, channels: 3, background: { r: shade, g: 9, b: 9 } } })
    .jpeg()
    .toBuffer();
}

/** A job in which the customer is in every place a customer can be in. */
async function fullJob(): Promise<string> {
  const { id: jobId, revisionId } = await makeJob(anna);
  const place = {
    customerName: 'Quillback',
    customerPhone: '01632 960 777',
    customerEmail: 'quillback@customer.example',
    town: 'Zephyr Mews',
    meterPointNumber: '9712345600019',
  };
  await anna
    .post(`/api/jobs/${jobId}/survey/revisions`)
    .send({
      id: randomUUID(),
      parentId: revisionId,
      changes: Object.entries(place).map(([key, to]) => ({ kind: 'set', path: ['place', key], to })),
    })
    .expect(201);
  const eventId = randomUUID();
  await anna
    .post(`/api/jobs/${jobId}/events`)
    .set('Idempotency-Key', randomUUID())
    .send({ id: eventId, kind: 'survey-booked', day: '2026-12-24', note: 'Ring Quillback first' })
    .expect(201);
  await anna
    .post(`/api/jobs/${jobId}/events/${eventId}/attachments?name=Quillback.txt`)
    .type('text/plain')
    .send('Dear Quillback')
    .expect(201);
  const asked = await anna
    .post(`/api/jobs/${jobId}/customer`)
    .send({ steps: ['danger', 'cut-out-label'] })
    .expect(201);
  const { token } = asked.body as { token: string };
  const pictureId = randomUUID();
  await bench
    .anyone()
    .post(`/api/customer/pictures/${pictureId}?step=cut-out-label`)
    .set('X-Customer-Link', token)
    .type('image/jpeg')
    .send(await picture(90))
    .expect(201);
  for (const [step, more] of [
    ['danger', { choice: 'yes', words: 'Secretly buzzing' }],
    ['cut-out-label', { pictures: [pictureId] }],
  ] as const)
    await bench
      .anyone()
      .post('/api/customer/answer')
      .send({ token, id: randomUUID(), step, pictures: [], ...more })
      .expect(201);
  await anna
    .post(`/api/jobs/${jobId}/mails`)
    .set('Idempotency-Key', randomUUID())
    .send({ kind: 'to-customer', to: 'quillback@customer.example', body: 'Dear Quillback' })
    .expect(201);
  await quotation(jobId);
  await photo(jobId);
  // The diary as calendars get it.
  await inFirm(bench.app, { firmId: firmId() }, (db) =>
    db.query(
      "INSERT INTO diary_files (firm_id, version, body) VALUES ($1, 'v', 'At Zephyr Mews') ON CONFLICT DO NOTHING",
      [firmId()],
    ),
  );
  return jobId;
}

/** A quotation to the customer, and what they asked about it. */
async function quotation(jobId: string): Promise<void> {
  const { revisionId } = (await anna.get(`/api/jobs/${jobId}/survey`)).body as { revisionId: string };
  const id = randomUUID();
  await anna
    .post(`/api/jobs/${jobId}/quotations`)
    .send({ id, revisionId, offered: ['as-recorded'], about: 'For Quillback' })
    .expect(201);
  await anna.get(`/api/jobs/${jobId}/quotations/${id}/quotation.pdf`).expect(200);
  const { token } = (await anna.post(`/api/jobs/${jobId}/quotations/${id}/link`).send({}).expect(201)).body as {
    token: string;
  };
  await bench
    .anyone()
    .post('/api/quotation/question')
    .send({ token, id: randomUUID(), name: 'Quillback', words: 'Secretly buzzing?' })
    .expect(201);
}

async function photo(jobId: string): Promise<void> {
  const { rows } = await bench.owner.query<{ id: string }>(
    `INSERT INTO photos (id, firm_id, job_id, sha256, width, height, added_by)
     VALUES (gen_random_uuid(), $1, $2, md5(random()::text), 80, 60, $3) RETURNING id`,
    [firmId(), jobId, bench.firms[0]?.personIds[0]],
  );
  for (const size of ['full', 'thumb', 'print'])
    await bench.owner.query('INSERT INTO pictures (firm_id, key, bytes) VALUES ($1, $2, $3)', [
      firmId(),
      `${rows[0]?.id ?? ''}/${size}.jpg`,
      Buffer.from('Quillback in a picture'),
    ]);
}

/** Where in the whole database a text stands: table by table, every column, bytes and all. */
async function standsIn(text: string): Promise<string[]> {
  const tables = await bench.owner.query<{ name: string }>(
    "SELECT relname AS name FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace WHERE n.nspname = 'public' AND c.relkind = 'r' ORDER BY 1",
  );
  const found: string[] = [];
  for (const { name } of tables.rows) {
    const { rows } = await bench.owner.query<Record<string, unknown>>(`SELECT * FROM ${name}`);
    const has = (value: unknown): boolean =>
      Buffer.isBuffer(value) ? value.includes(text) : JSON.stringify(value).includes(text);
    if (rows.some((row) => Object.values(row).some(has))) found.push(name);
  }
  return found;
}

const work = async (): Promise<void> => {
  while (await bench.workOn());
};
const eraseIt = async (jobId: string): Promise<void> => {
  await anna.post(`/api/jobs/${jobId}/customer-data/erase`).expect(202);
  await work();
};

describe('erasing a customer', () => {
  it('of a job that was never signed leaves nothing of them in any table', async () => {
    const jobId = await fullJob();
    // The search finds what is there: otherwise it would prove nothing.
    for (const mark of MARKS) expect((await standsIn(mark)).length).toBeGreaterThan(0);
    expect(await standsIn('Quillback')).toEqual(
      expect.arrayContaining([
        'event_attachments',
        'job_events',
        'jobs',
        'mails',
        'pictures',
        'revisions',
        'answered_requests',
      ]),
    );
    await eraseIt(jobId);
    for (const mark of MARKS) expect([mark, await standsIn(mark)]).toEqual([mark, []]);
    const tables = ['customer_links', 'customer_tokens', 'customer_answers', 'customer_pictures'];
    for (const table of tables) expect((await bench.owner.query(`SELECT 1 FROM ${table}`)).rowCount).toBe(0);
  });

  it('leaves the record and the job’s number: who did what and when, without what about', async () => {
    const jobId = await fullJob();
    await eraseIt(jobId);
    const job = (await anna.get(`/api/jobs/${jobId}`).expect(200)).body as { place: string; archived: boolean };
    expect(job).toMatchObject({ place: 'Erased', archived: true });
    const { entries } = (await anna.get(`/api/jobs/${jobId}/record`).expect(200)).body as {
      entries: { what: string; details: object }[];
    };
    expect(entries.map(({ what }) => what)).toEqual(
      expect.arrayContaining(['erasure-asked', 'customer-asked', 'mail-asked']),
    );
    expect(entries.every(({ details }) => Object.keys(details).length === 0)).toBe(true);
    // The survey still opens, empty, and its history is there as a shape.
    const { survey } = (await anna.get(`/api/jobs/${jobId}/survey`).expect(200)).body as { survey: { place: object } };
    expect(survey.place).toEqual({});
    await anna.get(`/api/jobs/${jobId}/survey/revisions`).expect(200);
    const { erasure } = (await anna.get(`/api/jobs/${jobId}/customer-data`)).body as {
      erasure: { packsUntil: string | null };
    };
    expect(erasure).toMatchObject({ askedBy: 'anna', packsUntil: null, doneAt: expect.any(String) as string });
  });

  it('keeps signed packs, to the byte, until the day the firm keeps them to; then they go', async () => {
    await anna.post('/api/firm/terms').send({ options: [], bands: [], packYears: 7 }).expect(201);
    const jobId = await fullJob();
    const head = (await anna.get(`/api/jobs/${jobId}/survey`)).body as { revisionId: string };
    const signed = await signAsItStands(anna, jobId, head.revisionId, 'Asked for early.');
    const { id: packId } = signed.body as { id: string };
    await work();
    const before = await anna.get(`/api/packs/${packId}/survey.json`).expect(200);
    await eraseIt(jobId);
    const after = await anna.get(`/api/packs/${packId}/survey.json`).expect(200);
    expect(after.text).toBe(before.text);
    expect(after.text).toContain('Quillback');
    await anna.get(`/api/packs/${packId}/notice.pdf`).expect(200);
    expect(await standsIn('quillback@customer.example')).toEqual(['packs']);
    const { erasure } = (await anna.get(`/api/jobs/${jobId}/customer-data`)).body as {
      erasure: { packsUntil: string };
    };
    expect(erasure.packsUntil.slice(0, 4)).toBe(String(new Date().getUTCFullYear() + 7));
    await retain(bench.app, firmId());
    await anna.get(`/api/packs/${packId}/survey.json`).expect(200);
    await bench.owner.query('UPDATE erasures SET packs_until = current_date WHERE job_id = $1', [jobId]);
    await retain(bench.app, firmId());
    await anna.get(`/api/packs/${packId}/survey.json`).expect(404);
    for (const mark of MARKS) expect([mark, await standsIn(mark)]).toEqual([mark, []]);
  });

  it('is a supervisor’s alone, of their own firm, and only where it was asked for', async () => {
    const jobId = await fullJob();
    for (const who of ['alan@a.example', 'olga@a.example'])
      await (await bench.as(who)).post(`/api/jobs/${jobId}/customer-data/erase`).expect(403);
    await (await bench.as('bea@b.example')).post(`/api/jobs/${jobId}/customer-data/erase`).expect(404);
    const directly = inFirm(bench.app, { firmId: firmId() }, (db) =>
      db.query('SELECT erase_job($1, $2)', [jobId, '{}']),
    );
    await expect(directly).rejects.toThrow(/no erasure was asked for/);
    expect((await anna.get(`/api/jobs/${jobId}`).expect(200)).body).toMatchObject({ customer: 'Quillback' });
  });
});

describe('periods that the firm sets', () => {
  it('erase what was never signed after its months, and what customers sent after theirs', async () => {
    const [old, fresh] = [await fullJob(), await fullJob()];
    await anna.post('/api/firm/terms').send({ options: [], bands: [], unsignedMonths: 6, keptMonths: 3 }).expect(201);
    await bench.owner.query("UPDATE jobs SET changed_at = now() - interval '7 months' WHERE id = $1", [old]);
    await bench.owner.query("UPDATE customer_links SET made_at = now() - interval '4 months' WHERE job_id = $1", [
      fresh,
    ]);
    await retain(bench.app, firmId());
    await work();
    expect((await anna.get(`/api/jobs/${old}`)).body).toMatchObject({ place: 'Erased' });
    expect((await anna.get(`/api/jobs/${fresh}`)).body).toMatchObject({ customer: 'Quillback' });
    expect((await anna.get(`/api/jobs/${fresh}/customer`)).body).toMatchObject({ answers: [] });
  });

  it('left unset keep everything', async () => {
    const jobId = await fullJob();
    await anna.post('/api/firm/terms').send({ options: [], bands: [] }).expect(201);
    await bench.owner.query("UPDATE jobs SET changed_at = now() - interval '20 years' WHERE id = $1", [jobId]);
    await retain(bench.app, firmId());
    await work();
    expect((await anna.get(`/api/jobs/${jobId}`)).body).toMatchObject({ customer: 'Quillback' });
  });
});

describe('everything of a customer as a file', () => {
  it('holds the survey with its history, pictures, letters, answers and packs, for the office and supervisors', async () => {
    const jobId = await fullJob();
    const olga = await bench.as('olga@a.example');
    const zip = await olga
      .get(`/api/jobs/${jobId}/customer-data/everything.zip`)
      .buffer(true)
      .parse((response, done) => {
        const parts: Buffer[] = [];
        response.on('data', (part: Buffer) => parts.push(part));
        response.on('end', () => {
          done(null, Buffer.concat(parts));
        });
      })
      .expect(200);
    const names = await namesIn(zip.body as Buffer);
    expect(names).toEqual(
      expect.arrayContaining([
        'survey.json',
        'history.json',
        'dates.json',
        'mails.json',
        'record.json',
        'customer/answers.json',
        'customer/01-cut-out-label.jpg',
        'letters/01-Quillback.txt',
      ]),
    );
    await (await bench.as('alan@a.example')).get(`/api/jobs/${jobId}/customer-data/everything.zip`).expect(403);
  });
});

function namesIn(bytes: Buffer): Promise<string[]> {
  return new Promise((resolve, reject) => {
    yauzl.fromBuffer(bytes, { lazyEntries: false }, (error, zip) => {
      if (error) {
        reject(error);
        return;
      }
      const names: string[] = [];
      zip.on('entry', ({ fileName }: { fileName: string }) => names.push(fileName));
      zip.on('end', () => {
        resolve(names);
      });
    });
  });
}
