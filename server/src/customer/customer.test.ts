import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import type { Agent } from 'supertest';
import { startMail, type MailStandIn } from '../../../standins/mail/service';
import { mailerFrom } from '../mail/mailer';
import { makeJob, testBench, type MadeJob, type TestBench } from '../testing/bench';

let bench: TestBench;
let mail: MailStandIn;
let alan: Agent;
let job: MadeJob;
beforeAll(async () => {
  mail = await startMail({ smtp: 0, page: 0 });
  bench = await testBench(
    undefined,
    'by hand',
    mailerFrom({
      SMTP_URL: `smtp://127.0.0.1:${mail.smtpPort}`,
      MAIL_FROM: 'surveys@keen-gauge.example',
      PUBLIC_URL: 'http://localhost:4600',
    }),
  );
  alan = await bench.as('alan@a.example');
  job = await makeJob(alan);
});
afterAll(async () => {
  await bench.close();
  await mail.stop();
});

interface Standing {
  readonly token?: string;
  readonly link: { readonly id: string; readonly steps: readonly { id: string; helps?: unknown }[] } | null;
  readonly answers: readonly {
    readonly id: string;
    readonly linkId: string;
    readonly step: string;
    readonly round: number;
    readonly state: string;
    readonly says: object;
    readonly reason: string | null;
    readonly pictures: readonly string[];
  }[];
}
interface Shown {
  readonly firm: string;
  readonly steps: readonly {
    readonly id: string;
    readonly again: string | null;
    readonly isIn: boolean;
    readonly pictures: number;
  }[];
}

const STEPS = ['danger', 'cut-out-label', 'shower', 'bill'];
const at = (path = '') => `/api/jobs/${job.id}/customer${path}`;
const make = async (steps: readonly string[] = STEPS): Promise<Standing> =>
  (await alan.post(at()).send({ steps }).expect(201)).body as Standing;
/** What came by every link of the job. */
const everything = async (): Promise<Standing> => (await alan.get(at()).expect(200)).body as Standing;
/** What came by the newest. */
const standing = async (): Promise<Standing> => {
  const all = await everything();
  return { ...all, answers: all.answers.filter(({ linkId }) => linkId === all.link?.id) };
};
const open = (token?: string) => bench.anyone().post('/api/customer/open').send({ token });
const shown = async (token?: string): Promise<Shown> => (await open(token).expect(200)).body as Shown;
const answer = (token: string | undefined, step: string, more: object = {}) =>
  bench
    .anyone()
    .post('/api/customer/answer')
    .send({ token, id: randomUUID(), step, pictures: [], ...more });
const picture = (token = '', step = 'cut-out-label', bytes?: Buffer, id = randomUUID()) =>
  bench
    .anyone()
    .post(`/api/customer/pictures/${id}?step=${step}`)
    .set('X-Customer-Link', token)
    .set('Content-Type', 'image/jpeg')
    .send(bytes ?? Buffer.from('no picture'));
const jpeg = (shade: number): Promise<Buffer> =>
  sharp({ create: { width: 600, height: 400, channels: 3, background: { r: shade, g: 80, b: 90 } } })
    .withExif({ IFD0: { Make: 'Camera of somebody' }, IFD3: { GPSLatitude: '51/1 30/1 0/1' } })
    .jpeg()
    .toBuffer();

describe('a customer’s link', () => {
  it('shows the steps that were sent, in plain words, and nothing of the job or of what the firm makes of it', async () => {
    const { token, link } = await make();
    expect(link?.steps.map(({ id }) => id)).toEqual(STEPS);
    const page = await shown(token);
    expect(page).toMatchObject({ firm: 'Firm A', steps: STEPS.map((id) => ({ id, isIn: false, again: null })) });
    expect(JSON.stringify(page)).not.toMatch(/Test Lane|helps|condition-not-looked|alan/);
  });

  it('says the same where it never was, is revoked, past its day, or a newer one has taken its place', async () => {
    const never = await open('x'.repeat(32)).expect(404);
    const { token: first } = await make();
    const { token: second } = await make();
    const replaced = await open(first).expect(404);
    await open(second).expect(200);
    await alan.delete(at()).expect(200);
    const revoked = await open(second).expect(404);
    const { token: third } = await make();
    await bench.owner.query(
      "UPDATE customer_links SET expires_at = now() - interval '1 second' WHERE revoked_at IS NULL",
    );
    const past = await open(third).expect(404);
    for (const { body } of [replaced, revoked, past]) expect(body).toEqual(never.body);
    await answer(third, 'danger', { choice: 'no' }).expect(404);
  });

  it('is kept as a digest only', async () => {
    const { token } = await make();
    for (const table of ['customer_tokens', 'customer_links', 'mails']) {
      const { rows } = await bench.owner.query(`SELECT * FROM ${table}`);
      expect(JSON.stringify(rows)).not.toContain(token);
    }
  });

  it('goes by mail, with nothing of the job in it', async () => {
    await alan.post(at()).send({ steps: STEPS, mailTo: 'customer@x.example' }).expect(201);
    while (await bench.workOn('send-mail'));
    const sent = mail.mails.find(({ to }) => to === 'customer@x.example');
    expect(sent?.subject).toBe('A few questions from Firm A');
    expect(`${sent?.subject ?? ''} ${sent?.text ?? ''}`).not.toMatch(/Test Lane/);
    const token = /localhost:4600\/c\/#(\S+)/.exec(sent?.text ?? '')?.[1];
    await open(token).expect(200);
  });

  it('asks nothing that there is no step for', async () => {
    await alan
      .post(at())
      .send({ steps: ['danger', 'nonsense'] })
      .expect(404);
    await alan.post(at()).send({ steps: [] }).expect(422);
    await alan
      .post(at())
      .send({ steps: ['danger', 'danger'] })
      .expect(422);
  });
});

describe('what a customer sends', () => {
  it('arrives once, stays unseen by whoever has the link, and may be put in place of until somebody has decided', async () => {
    const { token } = await make();
    const id = randomUUID();
    for (const choice of ['1', '1', '2']) await answer(token, 'shower', { id, choice }).expect(201);
    const page = await shown(token);
    expect(page.steps.find((step) => step.id === 'shower')).toMatchObject({ isIn: true });
    expect(JSON.stringify(page)).not.toContain('"says"');
    expect((await standing()).answers).toMatchObject([{ id, step: 'shower', says: { choice: '2' }, state: 'came' }]);
  });

  it('is refused in the customer’s words where it is not complete, and then nothing is kept', async () => {
    const { token } = await make();
    const refused = await answer(token, 'bill', { number: '1012345678902' }).expect(422);
    expect((refused.body as { detail: string }).detail).toMatch(/^Look at the number again/);
    await answer(token, 'danger', { choice: 'perhaps' }).expect(422);
    await answer(token, 'tariff', { words: 'x' }).expect(404);
    expect((await standing()).answers).toEqual([]);
  });

  it('a picture is decoded and encoded anew: no camera, no place, nothing but a picture', async () => {
    const { token } = await make();
    const id = randomUUID();
    const bytes = await jpeg(200);
    expect((await sharp(bytes).metadata()).exif).toBeDefined();
    for (let times = 0; times < 2; times += 1) await picture(token, 'cut-out-label', bytes, id).expect(201);
    await answer(token, 'cut-out-label', { pictures: [id] }).expect(201);
    const { answers } = await standing();
    expect(answers[0]?.pictures).toEqual([id]);
    const seen = await alan.get(at(`/pictures/${id}/full.jpg`)).expect(200);
    expect((await sharp(seen.body as Buffer).metadata()).exif).toBeUndefined();
    expect(seen.headers['content-type']).toBe('image/jpeg');
  });

  it('of what is no picture nothing is kept, whatever it calls itself', async () => {
    const { token } = await make();
    for (const bytes of ['<svg onload="alert(1)"/>', '<html><script>1</script>', '%PDF-1.4'])
      await picture(token, 'cut-out-label', Buffer.from(bytes)).expect(422);
    await picture(token, 'shower', await jpeg(1)).expect(404);
    await picture('x'.repeat(32), 'cut-out-label', await jpeg(1)).expect(404);
    expect(
      (
        await bench.owner.query(
          'SELECT 1 FROM customer_pictures p JOIN customer_links l ON l.id = p.link_id WHERE l.revoked_at IS NULL',
        )
      ).rowCount,
    ).toBe(0);
  });

  it('is bounded: no link sends more pictures than it may', async () => {
    const { token, link } = await make();
    const bytes = await jpeg(9);
    await picture(token, 'cut-out-label', bytes).expect(201);
    await bench.owner.query(
      `INSERT INTO customer_pictures (id, firm_id, link_id, step, round, full_jpg, thumb_jpg)
       SELECT gen_random_uuid(), firm_id, link_id, step, round, '', '' FROM customer_pictures, generate_series(1, 79) WHERE link_id = $1`,
      [link?.id],
    );
    await picture(token, 'cut-out-label', bytes).expect(413);
  });

  it('is text, whatever it looks like', async () => {
    const { token } = await make();
    const words = `<img src=x onerror=alert(1)>'; DROP TABLE jobs; --`;
    await answer(token, 'danger', { choice: 'yes', words }).expect(201);
    expect((await standing()).answers[0]?.says).toEqual({ choice: 'yes', words });
  });
});

describe('a customer who is finished', () => {
  it('is told of to whoever has the job, once for what came, and stands in the list of jobs', async () => {
    const { token } = await make();
    const done = () => bench.anyone().post('/api/customer/done').send({ token }).expect(204);
    const told = async () => {
      const { rows } = await bench.owner.query(
        "SELECT to_address, subject, state FROM mails WHERE subject LIKE '%the customer has answered'",
      );
      return rows as object[];
    };
    await done();
    expect(await told()).toEqual([]);
    await answer(token, 'danger', { choice: 'no' }).expect(201);
    for (let times = 0; times < 2; times += 1) await done();
    expect(await told()).toMatchObject([{ to_address: 'alan@a.example', state: 'draft' }]);
    expect((await alan.get(`/api/jobs/${job.id}`)).body).toMatchObject({ fromCustomer: expect.any(Number) as number });
    const { jobs } = (await alan.get('/api/jobs')).body as { jobs: { id: string; fromCustomer: number }[] };
    expect(jobs.find(({ id }) => id === job.id)?.fromCustomer).toBeGreaterThan(0);
  });
});

describe('deciding', () => {
  it('takes an answer once, its pictures go from quarantine, and it is changed no more', async () => {
    const { token } = await make();
    const id = randomUUID();
    await picture(token, 'cut-out-label', await jpeg(7), id).expect(201);
    await answer(token, 'cut-out-label', { pictures: [id] }).expect(201);
    const answerId = (await standing()).answers[0]?.id ?? '';
    for (let times = 0; times < 2; times += 1)
      await alan
        .post(at(`/answers/${answerId}/take`))
        .send({})
        .expect(200);
    await alan.get(at(`/pictures/${id}/full.jpg`)).expect(404);
    await alan
      .post(at(`/answers/${answerId}/set-aside`))
      .send({})
      .expect(409);
    await answer(token, 'cut-out-label', { words: 'Another.' }).expect(409);
  });

  it('asks again with a reason, which the customer reads under the same link; what was sent before stays for the record', async () => {
    const { token } = await make();
    await answer(token, 'danger', { choice: 'no' }).expect(201);
    await answer(token, 'shower', { choice: 'unsure' }).expect(201);
    const id = (await standing()).answers.find(({ step }) => step === 'shower')?.id ?? '';
    await alan
      .post(at(`/answers/${id}/again`))
      .send({})
      .expect(422);
    await alan
      .post(at(`/answers/${id}/again`))
      .send({ reason: 'Is there a cord in the ceiling?' })
      .expect(200);
    const { steps } = await shown(token);
    expect(steps.find((step) => step.id === 'shower')).toMatchObject({
      isIn: false,
      again: 'Is there a cord in the ceiling?',
    });
    expect(steps.find((step) => step.id === 'danger')).toMatchObject({ isIn: true, again: null });
    await answer(token, 'shower', { choice: '1' }).expect(201);
    const { answers } = await standing();
    expect(answers.filter(({ step }) => step === 'shower').map(({ round, state }) => [round, state])).toEqual([
      [1, 'again'],
      [2, 'came'],
    ]);
    await alan.post(at('/link')).send({ mailTo: 'customer@x.example' }).expect(201);
    while (await bench.workOn('send-mail'));
    expect(mail.mails.at(-1)?.subject).toBe('A question from Firm A');
  });

  it('is still to be done of what came by a link before this one; by that nobody is asked again', async () => {
    const { token } = await make();
    const id = randomUUID();
    const pictureId = randomUUID();
    await picture(token, 'cut-out-label', await jpeg(33), pictureId).expect(201);
    await answer(token, 'cut-out-label', { id, pictures: [pictureId] }).expect(201);
    await make();
    expect((await everything()).answers.find((each) => each.id === id)).toMatchObject({
      state: 'came',
      pictures: [pictureId],
      asked: { id: 'cut-out-label' },
    });
    await alan.get(at(`/pictures/${pictureId}/thumb.jpg`)).expect(200);
    await alan
      .post(at(`/answers/${id}/again`))
      .send({ reason: 'Nearer, please.' })
      .expect(409);
    await alan
      .post(at(`/answers/${id}/take`))
      .send({})
      .expect(200);
    expect((await everything()).answers.find((each) => each.id === id)).toMatchObject({ state: 'taken', pictures: [] });
  });

  it('stands in the job’s record with who decided', async () => {
    const { entries } = (await alan.get(`/api/jobs/${job.id}/record`).expect(200)).body as {
      entries: { what: string }[];
    };
    const kinds = new Set(entries.map(({ what }) => what));
    for (const what of ['customer-asked', 'customer-revoked', 'customer-answer-taken', 'customer-asked-again'])
      expect(kinds).toContain(what);
  });
});
