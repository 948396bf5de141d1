import { randomBytes, randomUUID } from 'node:crypto';
import { inFirm } from '../db/firm-scope';
import { PASSWORD, testBench, type TestBench } from '../testing/bench';
import { insertPasskey, passkeyForSignIn } from './passkeys';

let bench: TestBench;
beforeAll(async () => {
  bench = await testBench();
});
afterAll(() => bench.close());

const annaAsker = () => ({
  firmId: bench.firms[0]?.firmId ?? '',
  personId: bench.firms[0]?.personIds[0] ?? '',
  generation: 1,
});
/** A passkey of Anna’s whose private half nobody has. */
async function planted(): Promise<string> {
  const id = randomBytes(16).toString('base64url');
  await inFirm(bench.app, annaAsker(), (db) =>
    insertPasskey(db, annaAsker(), { id, publicKey: new Uint8Array(randomBytes(77)), counter: 0 }, 'A telephone'),
  );
  return id;
}
const signed = (id: string) => ({
  id,
  rawId: id,
  type: 'public-key',
  clientExtensionResults: {},
  response: {
    clientDataJSON: Buffer.from('{"type":"webauthn.get","challenge":"x","origin":"x"}').toString('base64url'),
    authenticatorData: randomBytes(37).toString('base64url'),
    signature: randomBytes(70).toString('base64url'),
  },
});

describe('a passkey', () => {
  it('is offered for making to whoever knows the password only', async () => {
    const anna = await bench.as('anna@a.example');
    await anna.post('/api/me/passkeys/options').send({ current: 'not that' }).expect(403);
    const options = await anna.post('/api/me/passkeys/options').send({ current: PASSWORD }).expect(200);
    expect(options.body).toMatchObject({
      user: { name: 'anna@a.example' },
      authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
    });
    await anna
      .post('/api/me/passkeys')
      .send({ response: { id: 'x' } })
      .expect(422);
    // What was to be signed was to be signed once.
    await anna
      .post('/api/me/passkeys')
      .send({ response: { id: 'x' } })
      .expect(409);
    await bench.anyone().post('/api/me/passkeys/options').send({ current: PASSWORD }).expect(401);
  });

  it('opens nothing without its signature: known and unknown are answered alike', async () => {
    const known = await planted();
    const answers = [];
    for (const id of [known, randomBytes(16).toString('base64url')]) {
      const agent = bench.anyone();
      await agent.post('/api/session/passkey/options').send({}).expect(200);
      const answer = await agent
        .post('/api/session/passkey')
        .send({ response: signed(id) })
        .expect(401);
      answers.push(answer.body);
      await agent.get('/api/me').expect(401);
    }
    expect(answers[0]).toEqual(answers[1]);
  });

  it('asks for something new to be signed each time', async () => {
    await bench
      .anyone()
      .post('/api/session/passkey')
      .send({ response: signed(await planted()) })
      .expect(409);
    const challenges = await Promise.all(
      [1, 2].map(
        async () => (await bench.anyone().post('/api/session/passkey/options').send({})).body as { challenge: string },
      ),
    );
    expect(challenges[0]?.challenge).not.toBe(challenges[1]?.challenge);
  });

  it('is its owner’s to take away, and nobody else’s', async () => {
    const [anna, alan] = [await bench.as('anna@a.example'), await bench.as('alan@a.example')];
    await planted();
    const { passkeys } = (await anna.get('/api/me/passkeys').expect(200)).body as {
      passkeys: { id: string; device: string }[];
    };
    const id = passkeys.at(-1)?.id ?? '';
    expect(JSON.stringify(passkeys)).not.toMatch(/publicKey|credential/);
    expect((await alan.get('/api/me/passkeys')).body).toEqual({ passkeys: [] });
    await alan.delete(`/api/me/passkeys/${id}`).expect(404);
    await alan.delete(`/api/me/passkeys/${randomUUID()}`).expect(404);
    await anna.delete(`/api/me/passkeys/${id}`).expect(200);
  });

  it('of somebody who was let go is known no more', async () => {
    const id = await planted();
    expect(await passkeyForSignIn(bench.app, id)).toBeDefined();
    await bench.owner.query('UPDATE people SET ended_at = now() WHERE id = $1', [annaAsker().personId]);
    expect(await passkeyForSignIn(bench.app, id)).toBeUndefined();
  });
});
