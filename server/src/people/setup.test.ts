import { Pool } from 'pg';
import { inFirm } from '../db/firm-scope';
import { testBench, type TestBench } from '../testing/bench';
import { offerSetup } from './setup';

const PASSWORD = 'a gate between two larches';
const FIRST = {
  firm: 'Saltmarsh Electrical',
  name: 'Wren Ashdown',
  email: 'Wren@Saltmarsh.example',
  registration: 'R-7',
  password: PASSWORD,
};

let bench: TestBench;
beforeAll(async () => {
  bench = await testBench();
});
afterAll(() => bench.close());

/** As on a database nobody has used yet: the two firms of the bench are taken away. */
async function emptied(owner: Pool): Promise<void> {
  await owner.query('TRUNCATE firms, setup_codes CASCADE');
}

describe('setting a server up', () => {
  it('is offered to nobody where a firm is there', async () => {
    expect(await offerSetup(bench.app)).toBeUndefined();
    expect((await bench.anyone().get('/api/access')).body).toMatchObject({ isSetUp: true });
    await bench
      .anyone()
      .post('/api/access/set-up')
      .send({ code: 'ABCD-EFGH-2345-6789', ...FIRST })
      .expect(403);
  });

  it('makes the firm and its supervisor for whoever holds the code, however it is typed, and once', async () => {
    await emptied(bench.owner);
    const code = (await offerSetup(bench.app)) ?? '';
    expect(code).toMatch(/^[2-9A-HJ-NP-Z]{4}(-[2-9A-HJ-NP-Z]{4}){3}$/);
    const stored = await bench.owner.query('SELECT * FROM setup_codes');
    expect(JSON.stringify(stored.rows)).not.toContain(code);
    const anyone = bench.anyone();
    expect((await anyone.get('/api/access')).body).toEqual({ isSetUp: false, mails: false });
    await anyone
      .post('/api/access/set-up')
      .send({ ...FIRST, code: 'ABCD-EFGH-2345-6789' })
      .expect(403);
    await anyone
      .post('/api/access/set-up')
      .send({ ...FIRST, code, password: 'saltmarsh123' })
      .expect(422);
    const made = await anyone
      .post('/api/access/set-up')
      .send({ ...FIRST, code: code.toLowerCase().replaceAll('-', ' ') })
      .expect(201);
    expect(made.body).toMatchObject({
      name: 'Wren Ashdown',
      email: 'wren@saltmarsh.example',
      firm: 'Saltmarsh Electrical',
      role: 'supervisor',
      maySignOff: true,
      registration: 'R-7',
    });
    // Signed in from here on, and the code is worth nothing any more.
    await anyone.get('/api/jobs').expect(200);
    await bench
      .anyone()
      .post('/api/access/set-up')
      .send({ ...FIRST, code })
      .expect(403);
    expect((await bench.owner.query('SELECT * FROM firms')).rowCount).toBe(1);
  });

  it('makes one firm where two hold codes at one moment', async () => {
    await emptied(bench.owner);
    const codes = [await offerSetup(bench.app), await offerSetup(bench.app)];
    const answers = await Promise.all(
      codes.map((code, at) =>
        bench
          .anyone()
          .post('/api/access/set-up')
          .send({ ...FIRST, email: `w${at}@saltmarsh.example`, code }),
      ),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 403]);
    expect((await bench.owner.query('SELECT * FROM firms')).rowCount).toBe(1);
  });

  it('takes no code of the day before yesterday', async () => {
    await emptied(bench.owner);
    const code = await offerSetup(bench.app);
    await bench.owner.query("UPDATE setup_codes SET made_at = now() - interval '25 hours'");
    await bench
      .anyone()
      .post('/api/access/set-up')
      .send({ ...FIRST, code })
      .expect(403);
  });

  it('keeps the codes to itself', async () => {
    await expect(
      inFirm(bench.app, { firmId: '00000000-0000-0000-0000-000000000000' }, (db) =>
        db.query('SELECT * FROM setup_codes'),
      ),
    ).rejects.toThrow(/permission denied/);
  });
});
