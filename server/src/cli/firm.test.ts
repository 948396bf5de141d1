import { testBench, type TestBench } from '../testing/bench';
import { firmAsked, makeInvitedFirm } from './firm';

let bench: TestBench;
beforeAll(async () => {
  bench = await testBench();
});
afterAll(() => bench.close());

const ASKED = { firm: 'Saltmarsh Electrical', name: 'Wren Ashdown', email: 'wren@saltmarsh.example' };
const ARGS = ['--firm', ASKED.firm, '--name', ASKED.name, '--email', 'Wren@Saltmarsh.example'];

describe('a further firm', () => {
  it('is there with nobody in it but whoever the link is for', async () => {
    const token = await makeInvitedFirm(bench.owner, ASKED);
    const wren = bench.anyone();
    const joined = await wren
      .post('/api/access/link/use')
      .send({ token, password: 'a gate between two larches' })
      .expect(200);
    expect(joined.body).toMatchObject({ firm: ASKED.firm, name: ASKED.name, role: 'supervisor', maySignOff: true });
    expect((await wren.get('/api/jobs').expect(200)).body).toMatchObject({ jobs: [], total: 0 });
    expect((await wren.get('/api/firm/people').expect(200)).body).toMatchObject({ people: [{ name: ASKED.name }] });
  });

  it('reads what it is asked, an address in small letters', () => {
    expect(firmAsked(ARGS)).toEqual(ASKED);
  });

  it.each([
    ['a name left out', ARGS.slice(2)],
    ['no address', [...ARGS.slice(0, 4), '--email', 'wren']],
    ['what it does not know', [...ARGS, '--colour', 'blue']],
    ['a firm without a name', ['--firm', ' ', ...ARGS.slice(2)]],
  ])('says what is wrong: %s', (_what, args) => {
    expect(firmAsked(args)).toHaveProperty('wrong');
  });
});
