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
    const cookie = String(made.headers['set-cookie']);
    expect(cookie).toMatch(/^keen\.sid=.*HttpOnly; SameSite=Lax/);
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

  it('stops guessing after eight tries at one name, even with the right password, but not for others', async () => {
    for (let at = 0; at < 8; at += 1) await tryIn('bea@b.example', `guess ${at}`).expect(401);
    const stopped = await tryIn('bea@b.example', PASSWORD).expect(429);
    expect(stopped.body).toMatchObject({
      title: 'Too many tries',
      detail: expect.stringMatching(/^Wait \d+ minutes?/),
    });
    await tryIn('anna@a.example', PASSWORD).expect(200);
  });

  it('logs no password and no address signed in with', () => {
    expect(bench.logged()).not.toContain(PASSWORD);
    expect(bench.logged()).not.toContain('anna@');
  });
});
