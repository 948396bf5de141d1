import type { Photo } from '@keen-gauge/core/survey/photo';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { randomUUID } from 'node:crypto';
import { crc32, deflateSync } from 'node:zlib';
import sharp from 'sharp';
import type { Agent } from 'supertest';
import { makeJob, testBench, type MadeJob, type TestBench } from '../testing/bench';

let bench: TestBench;
let anna: Agent;
let job: MadeJob;

beforeAll(async () => {
  bench = await testBench();
  anna = await bench.as('anna@a.example');
});
beforeEach(async () => {
  job = await makeJob(anna);
});
afterAll(() => bench.close());

/** A picture of a made-up scene, held sideways, with a place and a time in its metadata. */
async function scene(colour: string, width = 640, height = 480): Promise<Buffer> {
  return sharp({ create: { width, height, channels: 3, background: colour } })
    .withExif({
      IFD0: { Orientation: '6' },
      IFD2: { DateTimeOriginal: '2026:11:20 09:30:00' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' },
    })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();
}

const tus = { 'Tus-Resumable': '1.0.0' };

async function begin(agent: Agent, id: string, size: number): Promise<number> {
  const made = await agent
    .post(`/api/jobs/${job.id}/uploads`)
    .set({ ...tus, 'Upload-Length': String(size), 'Upload-Metadata': `id ${Buffer.from(id).toString('base64')}` });
  return made.status;
}

async function part(agent: Agent, id: string, offset: number, bytes: Buffer): Promise<number> {
  const sent = await agent
    .patch(`/api/jobs/${job.id}/uploads/${id}`)
    .set({ ...tus, 'Upload-Offset': String(offset), 'Content-Type': 'application/offset+octet-stream' })
    .send(bytes);
  return sent.status;
}

async function upload(bytes: Buffer, id: string = randomUUID()): Promise<string> {
  expect(await begin(anna, id, bytes.length)).toBe(201);
  expect(await part(anna, id, 0, bytes)).toBe(204);
  return id;
}

const file = (id: string, about: object = {}, agent = anna) =>
  agent.post(`/api/jobs/${job.id}/photos/${id}`).send(about);

async function photos(): Promise<readonly Photo[]> {
  const head = await anna.get(`/api/jobs/${job.id}/survey`).expect(200);
  return (head.body as { survey: Survey }).survey.photos;
}

describe('a photograph', () => {
  it('is turned upright, loses where it was taken, keeps when, and enters the survey', async () => {
    const id = await upload(await scene('#884422'));
    const { body } = await file(id, { caption: 'Cut-out', subject: 'node', subjectId: 'cut-out' }).expect(201);
    expect(body).toMatchObject({ known: false, photo: { id, widthPx: 480, heightPx: 640, takenBy: 'anna' } });
    expect(await photos()).toMatchObject([
      { id, caption: 'Cut-out', subject: 'node', subjectId: 'cut-out', takenAt: '2026-11-20T09:30:00.000Z' },
    ]);
    const full = await anna.get(`/api/jobs/${job.id}/photos/${id}/full.jpg`).expect(200).expect('content-type', /jpeg/);
    const { exif, width, orientation } = await sharp(full.body as Buffer).metadata();
    expect({ exif, width, orientation }).toEqual({ exif: undefined, width: 480, orientation: undefined });
    const thumb = await anna.get(`/api/jobs/${job.id}/photos/${id}/thumb.jpg`).expect(200);
    expect((await sharp(thumb.body as Buffer).metadata()).height).toBe(480);
    const history = await anna.get(`/api/jobs/${job.id}/survey/revisions`).expect(200);
    expect((history.body as { entries: unknown[] }).entries).toHaveLength(1);
  });

  it('sent in parts goes on where the link dropped, whoever asks twice', async () => {
    const [bytes, id] = [await scene('#123456', 900, 700), randomUUID()];
    const half = Math.floor(bytes.length / 2);
    await begin(anna, id, bytes.length);
    expect(await part(anna, id, 0, bytes.subarray(0, half))).toBe(204);
    await file(id).expect(409);
    const seen = await anna.head(`/api/jobs/${job.id}/uploads/${id}`).set(tus).expect(200);
    expect(seen.headers['upload-offset']).toBe(String(half));
    expect(await begin(anna, id, bytes.length)).toBe(201);
    expect(await part(anna, id, 0, bytes.subarray(0, half))).toBe(409);
    expect(await part(anna, id, half, bytes.subarray(half))).toBe(204);
    const answers = await Promise.all([file(id), file(id)]);
    expect(answers.map(({ status }) => status)).toEqual([201, 201]);
    await file(id).expect(201);
    expect(await photos()).toHaveLength(1);
  });

  it('handed in twice is one photograph, and comes back where it had been removed from the survey', async () => {
    const bytes = await scene('#aabbcc');
    const first = await upload(bytes);
    await file(first).expect(201);
    const again = await upload(bytes);
    expect((await file(again).expect(201)).body).toMatchObject({ known: true, photo: { id: first } });
    expect(await photos()).toHaveLength(1);
    const { body } = await anna.get(`/api/jobs/${job.id}/survey`);
    const { survey, revisionId } = body as { survey: Survey; revisionId: string };
    const changes = [{ kind: 'set', path: ['photos', first], from: survey.photos[0], index: 0 }];
    await anna
      .post(`/api/jobs/${job.id}/survey/revisions`)
      .send({ id: randomUUID(), parentId: revisionId, changes })
      .expect(201);
    expect(await photos()).toEqual([]);
    expect((await file(await upload(bytes)).expect(201)).body).toMatchObject({ known: false, photo: { id: first } });
  });

  it('is nobody else’s', async () => {
    const id = await upload(await scene('#010203'));
    await file(id).expect(201);
    const bea = await bench.as('bea@b.example');
    await bea.get(`/api/jobs/${job.id}/photos/${id}/full.jpg`).expect(404);
    await bea.get(`/api/jobs/${job.id}/photos/all.zip`).expect(404);
    expect(await begin(bea, randomUUID(), 10)).toBe(404);
    const open = randomUUID();
    await begin(anna, open, 10);
    expect(await part(bea, open, 0, Buffer.from('0123456789'))).toBe(404);
    await file(open, {}, bea).expect(404);
    await bench.anyone().get(`/api/jobs/${job.id}/photos/${id}/thumb.jpg`).expect(401);
  });

  it('comes with all the others as a zip', async () => {
    await file(await upload(await scene('#111111')), { caption: 'Meter, whole position' }).expect(201);
    await file(await upload(await scene('#222222')), { fileName: '../../etc/passwd.jpg' }).expect(201);
    const zip = await anna
      .get(`/api/jobs/${job.id}/photos/all.zip`)
      .buffer(true)
      .parse((response, done) => {
        const parts: Buffer[] = [];
        response.on('data', (bytes: Buffer) => parts.push(bytes));
        response.on('end', () => {
          done(null, Buffer.concat(parts));
        });
      })
      .expect(200);
    const text = (zip.body as Buffer).toString('latin1');
    expect(text.startsWith('PK')).toBe(true);
    for (const name of ['01-meter-whole-position.jpg', '02-etc-passwd.jpg', 'captions.txt'])
      expect(text).toContain(name);
    expect(text).not.toContain('../');
  });
});

describe('a database that fails while a picture arrives', () => {
  it('is told as that and never as the sender’s fault; what had arrived stays, and the rest is taken', async () => {
    const bytes = Buffer.concat([await scene('#123456'), Buffer.alloc(1_200_000)]);
    const id = randomUUID();
    await begin(anna, id, bytes.length);
    expect(await part(anna, id, 0, bytes.subarray(0, 600_000))).toBe(204);
    const rest = bytes.subarray(600_000);
    await bench.owner.query('REVOKE INSERT ON upload_parts FROM keen_gauge_app');
    expect(await part(anna, id, 600_000, rest)).toBe(500);
    await bench.owner.query('GRANT INSERT ON upload_parts TO keen_gauge_app');
    const holder = await bench.owner.connect();
    await holder.query('BEGIN; LOCK TABLE upload_parts IN ACCESS EXCLUSIVE MODE');
    const sending = part(anna, id, 600_000, rest);
    await new Promise((resolve) => setTimeout(resolve, 300));
    await bench.owner.query(
      "SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE usename = 'keen_gauge_app' AND datname = current_database()",
    );
    expect(await sending).toBe(503);
    await holder.query('ROLLBACK');
    holder.release();
    const ask = () => anna.head(`/api/jobs/${job.id}/uploads/${id}`).set(tus);
    // A connection that was ended while nobody used it is found out by whoever takes it up next, who is told to come again.
    let asked = await ask();
    for (let tries = 0; asked.status === 503 && tries < 20; tries += 1) asked = await ask();
    const offset = Number(asked.headers['upload-offset']);
    expect(offset).toBeGreaterThanOrEqual(600_000);
    expect(await part(anna, id, offset, bytes.subarray(offset))).toBe(204);
    expect((await file(id)).status).toBe(201);
  });

  it('an upload’s id that something else has is refused', async () => {
    const id = randomUUID();
    expect(await begin(anna, id, 100)).toBe(201);
    expect(await begin(anna, id, 100)).toBe(201);
    expect(await begin(anna, id, 200)).toBe(409);
    job = await makeJob(anna);
    expect(await begin(anna, id, 100)).toBe(409);
  });
});

describe('what is not a picture', () => {
  /** A PNG of a few hundred bytes whose head says 40 000 by 40 000. */
  const bomb = (): Buffer => {
    const chunk = (kind: string, data: Buffer): Buffer => {
      const body = Buffer.concat([Buffer.from(kind, 'latin1'), data]);
      const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
      length.writeUInt32BE(data.length);
      sum.writeUInt32BE(crc32(body));
      return Buffer.concat([length, body, sum]);
    };
    const head = Buffer.alloc(13);
    head.writeUInt32BE(40_000, 0);
    head.writeUInt32BE(40_000, 4);
    head[8] = 1;
    const rows = chunk('IDAT', deflateSync(Buffer.alloc(50_000)));
    return Buffer.concat([
      Buffer.from('\x89PNG\r\n\x1a\n', 'latin1'),
      chunk('IHDR', head),
      rows,
      chunk('IEND', Buffer.alloc(0)),
    ]);
  };
  it.each<[string, () => Buffer | Promise<Buffer>, RegExp]>([
    ['text', () => Buffer.from('just words'), /not a picture/],
    ['a GIF', () => Buffer.from('GIF89a and so on'), /GIF files are not taken/],
    ['a telephone’s own kind', () => Buffer.from('\0\0\0\x18ftypheic and so on'), /HEIC files are not taken.*JPEG/],
    ['markup', () => Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'), /SVG files are not taken/],
    ['a truncated picture', async () => (await scene('#445566')).subarray(0, 700), /cut off|damaged/],
    [
      'a head with rubbish after it',
      () => Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), Buffer.alloc(500, 7)]),
      /damaged|cut off/,
    ],
    ['a small file that unfolds into a huge one', bomb, /more than 64 million pixels/],
  ])('%s: a clear message, and nothing kept', async (_what, make, says) => {
    const id = await upload(await make());
    const { body } = await file(id).expect(422);
    expect((body as { detail: string }).detail).toMatch(says);
    expect(await photos()).toEqual([]);
    await file(id).expect(404);
  });

  it('larger than 25 MB is refused before it is sent, and an id that is none as well', async () => {
    expect(await begin(anna, randomUUID(), 26 * 1024 * 1024)).toBe(413);
    expect(await begin(anna, 'not-an-id', 10)).toBe(422);
    await file(randomUUID(), { caption: 'x'.repeat(301) }).expect(422);
    await file(randomUUID(), { captain: 'x' }).expect(422);
  });
});

describe('instruments', () => {
  it('are the firm’s own: added, changed, taken out of use', async () => {
    const id = randomUUID();
    const tester = { name: 'Loop tester', serial: '0417', calibrationDue: '2027-03-01', retired: false };
    await anna.post(`/api/instruments/${id}`).send(tester).expect(201);
    await anna
      .post(`/api/instruments/${id}`)
      .send({ ...tester, retired: true })
      .expect(201);
    const { body } = await anna.get('/api/instruments').expect(200);
    expect(body).toEqual({ instruments: [{ id, ...tester, retired: true }] });
    const bea = await bench.as('bea@b.example');
    expect((await bea.get('/api/instruments').expect(200)).body).toEqual({ instruments: [] });
    // The same id in another firm is another instrument: neither is told of the other.
    await bea
      .post(`/api/instruments/${id}`)
      .send({ ...tester, name: 'Theirs' })
      .expect(201);
    expect((await anna.get('/api/instruments').expect(200)).body).toEqual(body);
    await anna
      .post(`/api/instruments/${id}`)
      .send({ ...tester, calibrationDue: '2027-02-30' })
      .expect(422);
  });
});
