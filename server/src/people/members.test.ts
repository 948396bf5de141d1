import type { Agent } from 'supertest';
import type { MailStandIn } from '../../../standins/mail/service';
import { startMail } from '../../../standins/mail/service';
import { mailerFrom } from '../mail/mailer';
import { PASSWORD, makeJob, testBench, type TestBench } from '../testing/bench';

const NEW = 'a gate between two larches';
let bench: TestBench;
let mail: MailStandIn;
let anna: Agent;
beforeAll(async () => {
  mail = await startMail({ smtp: 0, page: 0 });
  const env = {
    SMTP_URL: `smtp://127.0.0.1:${mail.smtpPort}`,
    MAIL_FROM: 'surveys@keen-gauge.example',
    PUBLIC_URL: 'http://localhost:4600/',
  };
  bench = await testBench(undefined, 'by hand', mailerFrom(env));
  anna = await bench.as('anna@a.example');
});
afterAll(async () => {
  await bench.close();
  await mail.stop();
});

interface Team {
  readonly people: readonly { id: string; name: string; email: string; role: string; endedAt: string | null }[];
  readonly invitations: readonly { id: string; email: string; name: string }[];
  readonly token?: string;
}
const team = async (): Promise<Team> => (await anna.get('/api/firm/people').expect(200)).body as Team;
const idOf = async (name: string): Promise<string> =>
  (await team()).people.find((each) => each.name === name)?.id ?? '';
const invite = async (more: object = {}): Promise<Team> =>
  (
    await anna
      .post('/api/firm/people/invitations')
      .send({ name: 'Fern', email: 'fern@a.example', role: 'surveyor', maySignOff: true, registration: 'F-1', ...more })
      .expect(201)
  ).body as Team;
const use = (token: string | undefined, more: object = {}) =>
  bench
    .anyone()
    .post('/api/access/link/use')
    .send({ token, name: 'Fern Hollin', password: NEW, ...more });
const record = async (what: string) => {
  const found = await bench.owner.query<{ details: object }>(
    'SELECT details FROM audit_entries WHERE what = $1 ORDER BY id',
    [what],
  );
  return found.rows.map(({ details }) => details);
};

describe('an invitation', () => {
  it('opens once, to somebody who is then what they were invited as', async () => {
    const { token, invitations } = await invite();
    expect(invitations).toMatchObject([{ email: 'fern@a.example', name: 'Fern' }]);
    const shown = await bench.anyone().post('/api/access/link').send({ token }).expect(200);
    expect(shown.body).toEqual({ kind: 'invitation', email: 'fern@a.example', name: 'Fern', firm: 'Firm A' });
    await use(token, { password: 'fern hollin 1' }).expect(422);
    const joined = await use(token).expect(200);
    expect(joined.body).toMatchObject({
      name: 'Fern Hollin',
      role: 'surveyor',
      maySignOff: true,
      registration: 'F-1',
      firm: 'Firm A',
    });
    await use(token).expect(404);
    await bench.anyone().post('/api/access/link').send({ token }).expect(404);
    await bench.anyone().post('/api/session').send({ email: 'fern@a.example', password: NEW }).expect(200);
    expect((await team()).invitations).toEqual([]);
    expect(await record('person-invited')).toEqual([{ name: 'Fern', role: 'surveyor' }]);
  });

  it('is kept as a digest only, and drawn anew opens nothing under the old link', async () => {
    const { token, invitations } = await invite({ email: 'moss@a.example', name: 'Moss' });
    const id = invitations[0]?.id ?? '';
    const stored = await bench.owner.query('SELECT * FROM access_links');
    expect(JSON.stringify(stored.rows)).not.toContain(token);
    const again = (await anna.post(`/api/firm/people/invitations/${id}`).expect(200)).body as Team;
    await use(token).expect(404);
    await bench.anyone().post('/api/access/link').send({ token: again.token }).expect(200);
    await anna.delete(`/api/firm/people/invitations/${id}`).expect(200);
    await use(again.token).expect(404);
  });

  it('says the same of one that is past its day, was revoked, or never was', async () => {
    const { token } = await invite({ email: 'late@a.example' });
    await bench.owner.query(
      "UPDATE access_links SET expires_at = now() - interval '1 second' WHERE email = 'late@a.example'",
    );
    const [past, never] = [await use(token).expect(404), await use('x'.repeat(43)).expect(404)];
    expect(past.body).toEqual(never.body);
  });

  it('goes by mail, with a link that is put in when it is sent', async () => {
    const { token } = await invite({ email: 'sedge@a.example', name: 'Sedge', mail: true });
    expect(token).toBeUndefined();
    while (await bench.workOn('send-mail'));
    const sent = mail.mails.find(({ to }) => to === 'sedge@a.example');
    expect(sent).toMatchObject({ subject: 'Your sign-in at Firm A', from: '"Firm A" <surveys@keen-gauge.example>' });
    const link = /http:\/\/localhost:4600\/link#(\S+)/.exec(sent?.text ?? '')?.[1];
    expect(sent?.html).toContain(`href="http://localhost:4600/link#${link ?? ''}"`);
    const kept = await bench.owner.query("SELECT body, state FROM mails WHERE to_address = 'sedge@a.example'");
    expect(kept.rows).toMatchObject([{ state: 'sent' }]);
    expect(JSON.stringify(kept.rows)).not.toContain(link);
    await use(link).expect(200);
  });

  it('is not made for somebody who is here already, and gives nothing away of another firm', async () => {
    await anna
      .post('/api/firm/people/invitations')
      .send({ name: 'x', email: 'alan@a.example', role: 'office' })
      .expect(409);
    const { token } = await invite({ email: 'bea@b.example', name: 'Bea' });
    const refused = await use(token).expect(409);
    expect(JSON.stringify(refused.body)).not.toMatch(/Firm B/);
  });
});

describe('somebody of the firm', () => {
  it('may be given another role; the record says what it was', async () => {
    const id = await idOf('olga');
    await anna
      .post(`/api/firm/people/${id}`)
      .send({ name: 'Olga Marsh', role: 'surveyor', maySignOff: true })
      .expect(200);
    expect(await record('person-changed')).toEqual([
      {
        who: 'olga',
        name: { was: 'olga', is: 'Olga Marsh' },
        role: { was: 'office', is: 'surveyor' },
        maySignOff: { was: false, is: true },
        registration: { was: 'T-1', is: '' },
      },
    ]);
  });

  it('let go while working is signed out at once; their work stays, and they may come back', async () => {
    const alan = await bench.as('alan@a.example');
    const { id: jobId } = await makeJob(alan);
    const id = await idOf('alan');
    await anna.post(`/api/firm/people/${id}/end`).expect(200);
    await alan.get(`/api/jobs/${jobId}`).expect(401);
    await bench.anyone().post('/api/session').send({ email: 'alan@a.example', password: PASSWORD }).expect(401);
    expect((await anna.get(`/api/jobs/${jobId}`).expect(200)).body).toMatchObject({ place: '1 Test Lane' });
    const { people } = (await anna.get('/api/people')).body as Team;
    expect(people.map(({ name }) => name)).not.toContain('alan');
    await anna.post(`/api/firm/people/${id}/return`).expect(200);
    await bench.as('alan@a.example');
    // What was open when they went stays ended.
    await alan.get('/api/me').expect(401);
  });

  it('gets a link to a new password from a supervisor; the old one goes on until it is used', async () => {
    const id = await idOf('alan');
    const { token } = (await anna.post(`/api/firm/people/${id}/link`).send({}).expect(201)).body as Team;
    const alan = await bench.as('alan@a.example');
    await use(token).expect(200);
    await alan.get('/api/me').expect(401);
    await bench.anyone().post('/api/session').send({ email: 'alan@a.example', password: PASSWORD }).expect(401);
    await bench.anyone().post('/api/session').send({ email: 'alan@a.example', password: NEW }).expect(200);
  });

  it('is never the last supervisor to go, nor to become something else', async () => {
    const id = await idOf('anna');
    const refused = await anna.post(`/api/firm/people/${id}/end`).expect(409);
    expect(refused.body).toMatchObject({ title: 'The last supervisor' });
    await anna.post(`/api/firm/people/${id}`).send({ name: 'anna', role: 'office' }).expect(409);
    await anna.get('/api/firm/people').expect(200);
  });

  it('of two last supervisors who let each other go at one moment, one stays', async () => {
    await anna
      .post(`/api/firm/people/${await idOf('Fern Hollin')}`)
      .send({ name: 'Fern Hollin', role: 'supervisor' })
      .expect(200);
    const fern = bench.anyone();
    await fern.post('/api/session').send({ email: 'fern@a.example', password: NEW }).expect(200);
    const [annaId, fernId] = [await idOf('anna'), await idOf('Fern Hollin')];
    const both = await Promise.all([
      anna.post(`/api/firm/people/${fernId}/end`),
      fern.post(`/api/firm/people/${annaId}/end`),
    ]);
    expect(both.filter(({ status }) => status === 200)).toHaveLength(1);
    const left = await bench.owner.query(
      "SELECT name FROM people WHERE role = 'supervisor' AND ended_at IS NULL AND firm_id = $1",
      [bench.firms[0]?.firmId],
    );
    expect(left.rowCount).toBe(1);
    await bench.owner.query('UPDATE people SET ended_at = NULL');
    anna = await bench.as('anna@a.example');
  });
});

describe('a lost password', () => {
  const ask = (email: string) => bench.anyone().post('/api/access/recovery').send({ email });

  it('is asked for in one way by those who are here and those who are not, and mailed to the first', async () => {
    const [known, unknown] = [await ask(' Olga@A.example ').expect(202), await ask('nobody@a.example').expect(202)];
    expect(known.body).toEqual(unknown.body);
    for (let tries = 0; tries < 100 && !(await bench.workOn('send-mail')); tries += 1)
      await new Promise((resolve) => setTimeout(resolve, 20));
    const sent = mail.mails.filter(({ subject }) => subject === 'A new password for Keen Gauge');
    expect(sent.map(({ to }) => to)).toEqual(['olga@a.example']);
    const token = /link#(\S+)/.exec(sent[0]?.text ?? '')?.[1];
    const shown = await bench.anyone().post('/api/access/link').send({ token }).expect(200);
    expect(shown.body).toMatchObject({ kind: 'recovery', email: 'olga@a.example' });
    await use(token).expect(200);
    await bench.anyone().post('/api/session').send({ email: 'olga@a.example', password: NEW }).expect(200);
    expect(await record('recovery-asked')).toHaveLength(1);
  });

  it('is not mailed over and over, and asking keeps nobody from signing in', async () => {
    for (let at = 0; at < 6; at += 1) await ask('bea@b.example').expect(202);
    await new Promise((resolve) => setTimeout(resolve, 300));
    while (await bench.workOn('send-mail'));
    expect(mail.mails.filter(({ to }) => to === 'bea@b.example').length).toBeLessThanOrEqual(3);
    await bench.as('bea@b.example');
  });
});
