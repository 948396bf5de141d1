import { randomUUID } from 'node:crypto';
import { startMail, type MailStandIn } from '../../../standins/mail/service';
import { inFirm } from '../db/firm-scope';
import { makeJob, testBench, type TestBench } from '../testing/bench';
import { mailerFrom } from './mailer';
import { mailsOfJob, queueMail } from './queries';
import { htmlOf } from './words';

let bench: TestBench;
let mail: MailStandIn;
let jobId: string;
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
  ({ id: jobId } = await makeJob(await bench.as('anna@a.example')));
});
afterAll(async () => {
  await bench.close();
  await mail.stop();
});
beforeEach(() => {
  mail.mood = 'well';
});

const firm = () => ({ firmId: bench.firms[0]?.firmId ?? '' });
const queue = (to: string, more: { draft?: boolean } = {}) =>
  inFirm(bench.app, firm(), (db) =>
    queueMail(db, firm().firmId, {
      id: randomUUID(),
      kind: 'to-customer',
      to,
      subject: 'Your survey',
      body: 'Hello.\n\nTomorrow <b>at nine</b>.',
      jobId,
      madeBy: null,
      ...more,
    }),
  );
const stateOf = async (to: string) =>
  (await inFirm(bench.app, firm(), (db) => mailsOfJob(db, jobId))).find((each) => each.to === to);
const dueNow = () => bench.owner.query("UPDATE tasks SET next_at = now() - interval '1 second'");

describe('mail', () => {
  it('goes as text and as plain HTML, in which nothing is anybody’s markup', async () => {
    await queue('one@x.example');
    await bench.workOn('send-mail');
    const [sent] = mail.mails;
    expect(sent).toMatchObject({ to: 'one@x.example', subject: 'Your survey' });
    expect(sent?.text).toContain('Tomorrow <b>at nine</b>.');
    expect(sent?.html).toContain('Tomorrow &#60;b&#62;at nine&#60;/b&#62;.');
    expect(await stateOf('one@x.example')).toMatchObject({ state: 'sent', trouble: null });
  });

  it('waits while the server is busy, and is sent once when it is not', async () => {
    mail.mood = 'busy';
    await queue('two@x.example');
    await bench.workOn('send-mail');
    expect(await stateOf('two@x.example')).toMatchObject({ state: 'waiting' });
    mail.mood = 'well';
    await dueNow();
    await bench.workOn('send-mail');
    await dueNow();
    await bench.workOn('send-mail');
    expect(mail.mails.filter(({ to }) => to === 'two@x.example')).toHaveLength(1);
    expect(await stateOf('two@x.example')).toMatchObject({ state: 'sent' });
  });

  it('that is refused for good says so and is not tried again', async () => {
    mail.mood = 'refuses';
    await queue('three@x.example');
    await bench.workOn('send-mail');
    expect(await stateOf('three@x.example')).toMatchObject({
      state: 'given-up',
      trouble: 'The mail server refused it (550).',
    });
    mail.mood = 'well';
    await dueNow();
    await bench.workOn('send-mail');
    expect(mail.mails.filter(({ to }) => to === 'three@x.example')).toEqual([]);
  });

  it('sent again because the first answer was lost is one to whoever gets it', async () => {
    await queue('four@x.example');
    await bench.workOn('send-mail');
    const sent = mail.mails.find(({ to }) => to === 'four@x.example');
    // As if the instance had died between sending and noting it.
    const { rows } = await bench.owner.query<{ id: string }>(
      "UPDATE mails SET state = 'waiting' WHERE to_address = 'four@x.example' RETURNING id",
    );
    expect(sent?.messageId).toBe(`<${rows[0]?.id ?? ''}@localhost>`);
  });

  it('that is a draft is kept and not sent', async () => {
    await queue('five@x.example', { draft: true });
    await dueNow();
    while (await bench.workOn('send-mail'));
    expect(await stateOf('five@x.example')).toMatchObject({ state: 'draft' });
    expect(mail.mails.filter(({ to }) => to === 'five@x.example')).toEqual([]);
  });

  it('is not set up by half', () => {
    expect(mailerFrom({})).toBeUndefined();
    expect(() => mailerFrom({ SMTP_URL: 'smtp://x' })).toThrow(/MAIL_FROM and PUBLIC_URL/);
  });
});

describe('plain HTML', () => {
  it('makes addresses pressable and quotes everything else', () => {
    expect(htmlOf('See https://a.example/x#y now\n"quoted"')).toContain(
      '<p>See <a href="https://a.example/x#y">https://a.example/x#y</a> now<br>&#34;quoted&#34;</p>',
    );
  });
});
