import { randomUUID } from 'node:crypto';
import type { Agent } from 'supertest';
import { startMail, type MailStandIn } from '../../../standins/mail/service';
import { makeJob, signAsItStands, testBench, type MadeJob, type TestBench } from '../testing/bench';
import { mailerFrom } from './mailer';
import { askHourly } from '../tasks/hourly';
import { remind } from './reminders';

let bench: TestBench;
let mail: MailStandIn;
let anna: Agent;
let job: MadeJob;
beforeAll(async () => {
  mail = await startMail({ smtp: 0, page: 0 });
  const env = {
    SMTP_URL: `smtp://127.0.0.1:${mail.smtpPort}`,
    MAIL_FROM: 'surveys@keen-gauge.example',
    PUBLIC_URL: 'http://localhost:4600',
  };
  bench = await testBench(undefined, 'by hand', mailerFrom(env));
  anna = await bench.as('anna@a.example');
  job = await makeJob(anna);
});
afterAll(async () => {
  await bench.close();
  await mail.stop();
});

interface Mails {
  readonly mails: readonly {
    id: string;
    kind: string;
    to: string;
    subject: string;
    state: string;
    packNumber: number | null;
  }[];
  readonly sends: boolean;
}
const at = (path = '') => `/api/jobs/${job.id}/mails${path}`;
const choose = (how: 'send' | 'draft') =>
  anna
    .post('/api/firm/terms')
    .send({ options: [], bands: [], mail: how, contact: { email: 'office@a.example' } })
    .expect(201);
const write = async (more: object = {}): Promise<Mails> =>
  (
    await anna
      .post(at())
      .send({ kind: 'to-operator', to: 'desk@operator.example', body: 'For 1 Test Lane: what fuse is it?', ...more })
      .expect(201)
  ).body as Mails;
const work = async (): Promise<void> => {
  while (await bench.workOn('send-mail', 'make-pack', 'remind'));
};

describe('a letter', () => {
  it('is kept as a draft until the firm chooses to send, and then by whoever presses', async () => {
    const { mails, sends } = await write();
    expect([sends, mails[0]?.state]).toEqual([false, 'draft']);
    await work();
    expect(mail.mails).toEqual([]);
    await choose('send');
    await anna.post(at(`/${mails[0]?.id ?? ''}/send`)).expect(200);
    await work();
    expect(mail.mails).toMatchObject([{ to: 'desk@operator.example', replyTo: 'office@a.example' }]);
    expect(((await anna.get(at())).body as Mails).mails[0]).toMatchObject({ state: 'sent' });
  });

  it('says nothing of the place, the customer or the supply in its subject', async () => {
    await choose('send');
    const { mails } = await write();
    expect(mails[0]?.subject).toMatch(/^Firm A: job KG-\d+$/);
  });

  it('takes the pack’s document along, as it was signed, and no pack of another job', async () => {
    await choose('send');
    const signed = await signAsItStands(anna, job.id, job.revisionId, 'Asked for early.');
    const { id: packId } = signed.body as { id: string };
    await write({ packId });
    await work();
    await bench.owner.query("UPDATE tasks SET next_at = now() - interval '1 second'");
    await work();
    const sent = mail.mails.at(-1);
    expect(sent?.attachments).toMatchObject([{ name: expect.stringMatching(/^P-\d+\.pdf$/) as string }]);
    expect(sent?.attachments[0]?.bytes).toBeGreaterThan(10_000);
    const other = await makeJob(anna);
    await anna
      .post(`/api/jobs/${other.id}/mails`)
      .send({ kind: 'to-operator', to: 'x@x.example', body: 'x', packId })
      .expect(404);
  });

  it('is written once, however often it is sent under its key', async () => {
    const before = ((await anna.get(at())).body as Mails).mails.length;
    const key = randomUUID();
    for (let times = 0; times < 2; times += 1)
      await anna
        .post(at())
        .set('Idempotency-Key', key)
        .send({ kind: 'to-customer', to: 'c@x.example', body: 'Hello.' })
        .expect(201);
    expect(((await anna.get(at())).body as Mails).mails).toHaveLength(before + 1);
  });

  it.each([
    ['no address', { to: 'desk' }],
    ['nothing written', { body: '' }],
    ['a kind that is not', { kind: 'invitation' }],
  ])('is refused with %s', async (_what, more) => {
    await anna
      .post(at())
      .send({ kind: 'to-operator', to: 'desk@operator.example', body: 'x', ...more })
      .expect(422);
  });
});

describe('reminders', () => {
  const firmId = () => bench.firms[0]?.firmId ?? '';
  const reminders = async () => {
    const found = await bench.owner.query<{ to: string; subject: string; state: string }>(
      `SELECT to_address AS "to", subject, state FROM mails WHERE kind = 'reminder' ORDER BY made_at, to_address`,
    );
    return found.rows;
  };
  beforeEach(async () => {
    await bench.owner.query("DELETE FROM mails WHERE kind = 'reminder'");
    await choose('send');
  });

  it('go to whoever has the job once the operator’s reply is late, and once', async () => {
    await bench.owner.query(
      "UPDATE jobs SET due_what = 'reply', due_on = '2026-03-02', assigned_to = $2, state = 'with-operator' WHERE id = $1",
      [job.id, bench.firms[0]?.personIds[1]],
    );
    await remind(bench.app, undefined, firmId(), '2026-03-02');
    expect(await reminders()).toEqual([]);
    for (const today of ['2026-03-03', '2026-03-04'] as const) await remind(bench.app, undefined, firmId(), today);
    expect(await reminders()).toMatchObject([
      {
        to: 'alan@a.example',
        state: 'draft',
        subject: expect.stringMatching(/^KG-\d+: the operator’s reply is late$/) as string,
      },
    ]);
  });

  it('of a notice come two days before, to the supervisors where nobody has the job', async () => {
    await bench.owner.query(
      "UPDATE jobs SET due_what = 'notice', due_on = '2026-03-10', assigned_to = NULL WHERE id = $1",
      [job.id],
    );
    await remind(bench.app, undefined, firmId(), '2026-03-07');
    expect(await reminders()).toEqual([]);
    await remind(bench.app, undefined, firmId(), '2026-03-08');
    expect(await reminders()).toMatchObject([{ to: 'anna@a.example' }]);
    await bench.owner.query('UPDATE jobs SET due_what = NULL, due_on = NULL WHERE id = $1', [job.id]);
  });

  it('of a calibration come two weeks before, and not of an instrument out of use', async () => {
    for (const [name, retired] of [
      ['Loop tester', false],
      ['Old tester', true],
    ] as const)
      await anna
        .post(`/api/instruments/${randomUUID()}`)
        .send({ name, serial: 'S-1', calibrationDue: '2026-04-20', retired })
        .expect(201);
    await remind(bench.app, undefined, firmId(), '2026-04-05');
    expect(await reminders()).toEqual([]);
    await remind(bench.app, undefined, firmId(), '2026-04-06');
    expect(await reminders()).toMatchObject([{ to: 'anna@a.example', subject: 'A calibration is due' }]);
  });

  it('are looked for in every firm, in the background, and sent where the firm sends', async () => {
    await anna
      .post(`/api/instruments/${randomUUID()}`)
      .send({ name: 'Clamp', serial: 'S-2', calibrationDue: '2020-01-01', retired: false })
      .expect(201);
    await askHourly(bench.app);
    await work();
    expect(mail.mails.filter(({ subject }) => subject === 'A calibration is due').map(({ to }) => to)).toContain(
      'anna@a.example',
    );
  });
});
