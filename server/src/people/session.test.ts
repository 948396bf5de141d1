import { PASSWORD, testBench, type TestBench } from '../testing/bench';

let bench: TestBench;
beforeAll(async () => {
  bench = await testBench();
});
afterAll(() => bench.close());

const tryIn = (email: string, password: string) => bench.anyone().post('/api/session').send({ email, password });

describe('signing in', () => {
  it('gives a cookie scripts cannot read and other sites cannot send, and says who it is', async () => {
    const made = await tryIn(' Anna@A.example ', PASSWORD).expect(200);
    expect(made.body).toMatchObject({ name: 'anna', firm: 'Firm A', maySignOff: true });
    expect(JSON.stringify(made.body)).not.toContain('hash');
    const cookies = made.headers['set-cookie'] as unknown as string[];
    for (const name of ['keen.sid', 'keen.device'])
      expect(cookies.find((each) => each.startsWith(`${name}=`))).toMatch(/HttpOnly; SameSite=Lax/);
    expect(cookies[0]).toMatch(/^keen\.sid=/);
  });

  it('answers a wrong name and a wrong password alike', async () => {
    const name = await tryIn('nobody@a.example', PASSWORD).expect(401);
    const password = await tryIn('anna@a.example', 'wrong').expect(401);
    expect(name.body).toEqual(password.body);
  });

  it('ends with signing out', async () => {
    const agent = await bench.as('alan@a.example');
    await agent.get('/api/me').expect(200);
    await agent.delete('/api/session').expect(204);
    await agent.get('/api/me').expect(401);
  });

  it('lets nobody in without it', async () => {
    for (const path of ['/api/me', '/api/jobs', '/api/jobs/x/survey', '/api/packs/x/notice.pdf'])
      await bench.anyone().get(path).expect(401);
  });

  it('refuses a change sent by another site’s page', async () => {
    const agent = await bench.as('alan@a.example');
    await agent.post('/api/jobs').set('Sec-Fetch-Site', 'cross-site').send({}).expect(403);
  });

  it('logs no password and no address signed in with, in lines that are there', () => {
    const lines = bench.logged();
    expect(lines).toContain('"route":"/api/session"');
    expect(lines).toContain('"outcome":"wrong"');
    expect(lines).not.toContain(PASSWORD);
    expect(lines).not.toContain('anna@');
    expect(lines).not.toContain('127.0.0.1');
  });
});

describe('guessing a password', () => {
  const from = (address: string, email: string, password: string) =>
    bench.anyone().post('/api/session').set('X-Forwarded-For', address).send({ email, password });

  it('stops after eight tries at one name from one place, even with the right one, and says for how long', async () => {
    for (let at = 0; at < 8; at += 1) await from('192.0.2.1', 'bea@b.example', `guess ${at}`).expect(401);
    const stopped = await from('192.0.2.1', 'bea@b.example', PASSWORD).expect(429);
    expect(stopped.body).toMatchObject({
      title: 'Too many tries',
      detail: expect.stringMatching(/^Wait \d+ minutes?/),
    });
  });

  it('counts a hundred tries of one moment as a hundred', async () => {
    const tries = await Promise.all(
      Array.from({ length: 100 }, (_, at) => from('192.0.2.2', 'anna@a.example', `guess ${at}`)),
    );
    const counted = (status: number): number => tries.filter((each) => each.status === status).length;
    expect([counted(401), counted(429)]).toEqual([8, 92]);
  });

  it('does not shut out whoever it is about: elsewhere, at a known address, on a known device', async () => {
    const agent = bench.anyone();
    const signIn = (address: string) =>
      agent.post('/api/session').set('X-Forwarded-For', address).send({ email: 'alan@a.example', password: PASSWORD });
    await signIn('198.51.100.1').expect(200);
    // More than are allowed by name, from everywhere.
    for (let at = 0; at < 70; at += 1) await from(`203.0.113.${at}`, 'alan@a.example', 'guess');
    await from('203.0.113.200', 'alan@a.example', PASSWORD).expect(429);
    await from('198.51.100.1', 'alan@a.example', PASSWORD).expect(200);
    await signIn('203.0.113.201').expect(200);
    // And at their own address: their device goes on.
    for (let at = 0; at < 9; at += 1) await from('198.51.100.1', 'alan@a.example', 'guess');
    await from('198.51.100.1', 'alan@a.example', PASSWORD).expect(429);
    await signIn('198.51.100.1').expect(200);
  });

  it('is counted by household where addresses are many', async () => {
    const tries = await Promise.all(
      Array.from({ length: 20 }, (_, at) => from(`2001:db8:1:2::${at}`, 'anna@a.example', 'guess')),
    );
    expect(tries.filter((each) => each.status === 401)).toHaveLength(8);
  });

  it('a right password gives its try back', async () => {
    for (let at = 0; at < 30; at += 1) await from('192.0.2.9', 'anna@a.example', PASSWORD).expect(200);
  });

  it('stands in the firm’s record, each failure and that it was stopped', async () => {
    const anna = await bench.as('anna@a.example');
    const { entries } = (await anna.get('/api/firm/record').expect(200)).body as {
      entries: { what: string; by: string }[];
    };
    const about = (what: string): string[] => entries.filter((each) => each.what === what).map(({ by }) => by);
    expect(about('sign-in-failed').filter((by) => by === 'anna').length).toBeGreaterThanOrEqual(16);
    expect(about('sign-in-stopped')).toEqual(expect.arrayContaining(['anna', 'alan']));
  });
});

describe('access that is taken away', () => {
  it.each([
    ['a new password', "SET password_hash = 'x'"],
    ['another role', "SET role = 'surveyor'"],
    ['the right to sign off', 'SET may_sign_off = true'],
    ['leaving', 'SET ended_at = now()'],
    ['another firm', 'SET firm_id = (SELECT id FROM firms WHERE name = $$Firm B$$)'],
  ])('%s ends every session at once', async (_what, change) => {
    const agent = await bench.as('olga@a.example');
    await agent.get('/api/jobs').expect(200);
    const { rows } = await bench.owner.query<Record<string, unknown>>(
      "SELECT * FROM people WHERE email = 'olga@a.example'",
    );
    await bench.owner.query(`UPDATE people ${change} WHERE email = 'olga@a.example'`);
    for (const path of ['/api/jobs', '/api/me', '/api/firm/terms']) await agent.get(path).expect(401);
    await agent.post('/api/jobs').send({ id: crypto.randomUUID(), place: 'x', wanted: 'y' }).expect(401);
    const [before] = rows;
    await bench.owner.query(
      "UPDATE people SET password_hash = $1, role = $2, may_sign_off = $3, ended_at = NULL, firm_id = $4 WHERE email = 'olga@a.example'",
      [before?.['password_hash'], before?.['role'], before?.['may_sign_off'], before?.['firm_id']],
    );
    // Not even when all is as it was: whoever it was signs in again.
    await agent.get('/api/jobs').expect(401);
    await (await bench.as('olga@a.example')).get('/api/jobs').expect(200);
  });

  it('somebody who has left does not sign in', async () => {
    await bench.owner.query("UPDATE people SET ended_at = now() WHERE email = 'olga@a.example'");
    await tryIn('olga@a.example', PASSWORD).expect(401);
    await bench.owner.query("UPDATE people SET ended_at = NULL WHERE email = 'olga@a.example'");
  });
});
