import { testBench, PASSWORD, type TestBench } from '../testing/bench';
import { deviceWords } from './sessions';

const PHONE =
  'Mozilla/5.0 (Linux; Android 14; Pixel 8) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/126.0.0.0 Mobile Safari/537.36';
const NEW = 'a gate between two larches';
let bench: TestBench;
beforeAll(async () => {
  bench = await testBench();
});
afterAll(() => bench.close());

interface Shown {
  readonly sessions: readonly { id: string; device: string; begunAt: string; here: boolean }[];
}

const signedIn = async (agentWords: string, password = PASSWORD) => {
  const agent = bench.anyone();
  await agent
    .post('/api/session')
    .set('User-Agent', agentWords)
    .send({ email: 'alan@a.example', password })
    .expect(200);
  return agent;
};

describe('my sessions', () => {
  it('are listed by device, this one marked, with nothing that would open one', async () => {
    const [desk, phone] = [
      await signedIn('Mozilla/5.0 (X11; Linux x86_64; rv:128.0) Gecko/20100101 Firefox/128.0'),
      await signedIn(PHONE),
    ];
    const { sessions } = (await desk.get('/api/me/sessions').expect(200)).body as Shown;
    expect(sessions.map(({ device, here }) => [device, here])).toEqual([
      [deviceWords(PHONE), false],
      ['Firefox on Linux', true],
    ]);
    const sids = await bench.owner.query<{ sid: string }>('SELECT sid FROM session');
    for (const { sid } of sids.rows) expect(JSON.stringify(sessions)).not.toContain(sid);
    await desk.delete(`/api/me/sessions/${sessions[0]?.id ?? ''}`).expect(200);
    await phone.get('/api/me').expect(401);
    await desk.get('/api/me').expect(200);
    await desk.delete(`/api/me/sessions/${sessions[0]?.id ?? ''}`).expect(404);
  });

  it('end all together but this one, and the record says how many', async () => {
    const others = [await signedIn(PHONE), await signedIn(PHONE)];
    const here = await signedIn(PHONE);
    const left = (await here.delete('/api/me/sessions').expect(200)).body as Shown;
    expect(left.sessions.map((each) => each.here)).toEqual([true]);
    for (const other of others) await other.get('/api/me').expect(401);
    const noted = await bench.owner.query(
      "SELECT details FROM audit_entries WHERE what = 'session-ended' ORDER BY id DESC LIMIT 1",
    );
    expect((noted.rows[0] as { details: { sessions: number } }).details.sessions).toBeGreaterThanOrEqual(2);
  });

  it('are nobody else’s: another’s cannot be ended', async () => {
    const alan = await signedIn(PHONE);
    const { sessions } = (await alan.get('/api/me/sessions')).body as Shown;
    const anna = await bench.as('anna@a.example');
    await anna.delete(`/api/me/sessions/${sessions[0]?.id ?? ''}`).expect(404);
    await alan.get('/api/me').expect(200);
  });

  it('all end with a new password, and this device goes on with a new one', async () => {
    const [here, there] = [await signedIn(PHONE), await signedIn(PHONE)];
    await here.post('/api/me/password').send({ current: 'not that', password: NEW }).expect(403);
    const weak = await here.post('/api/me/password').send({ current: PASSWORD, password: 'password1234' }).expect(422);
    expect(JSON.stringify(weak.body)).toContain('first that anybody would try');
    await here.post('/api/me/password').send({ current: PASSWORD, password: NEW }).expect(204);
    await here.get('/api/me').expect(200);
    await there.get('/api/me').expect(401);
    await bench.anyone().post('/api/session').send({ email: 'alan@a.example', password: PASSWORD }).expect(401);
    await signedIn(PHONE, NEW);
  });
});

describe('the words for a device', () => {
  it('say the browser and what it runs on, and something of one that says nothing', () => {
    expect(deviceWords('')).toBe('A browser');
    expect(deviceWords('nonsense')).toMatch(/browser|nonsense/i);
  });
});
