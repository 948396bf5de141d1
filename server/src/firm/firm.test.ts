import { USUAL_EQUIPMENT } from '@keen-gauge/core/firm/equipment';
import { randomUUID } from 'node:crypto';
import { testBench, type TestBench } from '../testing/bench';

let bench: TestBench;
beforeAll(async () => (bench = await testBench()));
afterAll(() => bench.close());

const [usual] = USUAL_EQUIPMENT;
if (!usual) throw new Error('no usual equipment');
const profile = { name: usual.name, ratedA: 32, phases: 1, stepsA: [10, 16, 32] };

it('keeps a firm’s equipment, changes it under its id, and refuses what is none', async () => {
  const anna = await bench.as('anna@a.example');
  const id = randomUUID();
  const made = await anna.post(`/api/firm/equipment/${id}`).send(profile).expect(201);
  expect(made.body).toEqual({ profiles: [{ ...profile, id }] });
  await anna
    .post(`/api/firm/equipment/${id}`)
    .send({ ...profile, ratedA: 16 })
    .expect(201);
  expect((await anna.get('/api/firm/equipment').expect(200)).body).toEqual({
    profiles: [{ ...profile, id, ratedA: 16 }],
  });
  const wrong = await anna
    .post(`/api/firm/equipment/${id}`)
    .send({ ...profile, stepsA: ['much'] })
    .expect(422);
  expect(wrong.body).toMatchObject({ faults: [{ path: '$.stepsA' }] });
  await anna
    .post(`/api/firm/equipment/${id}`)
    .send({ ...profile, name: '' })
    .expect(422);
  await anna.post('/api/firm/equipment/none').send(profile).expect(404);
});

it('keeps a firm’s own terms, empty until it has set some', async () => {
  const anna = await bench.as('anna@a.example');
  expect((await anna.get('/api/firm/terms').expect(200)).body).toEqual({ terms: { options: [], bands: [] } });
  const terms = {
    options: [{ option: 'managed', costBand: 'middle', toWeeks: 2 }],
    bands: [{ band: 'low', words: 'up to 300' }],
  };
  await anna.post('/api/firm/terms').send(terms).expect(201);
  expect((await anna.get('/api/firm/terms')).body).toEqual({ terms });
  await anna
    .post('/api/firm/terms')
    .send({ options: [{ option: 'managed', costBand: 'dear' }], bands: [] })
    .expect(422);
});

it('another firm sees neither and cannot write over them', async () => {
  const anna = await bench.as('anna@a.example');
  const bea = await bench.as('bea@b.example');
  const id = randomUUID();
  await anna.post(`/api/firm/equipment/${id}`).send(profile).expect(201);
  expect((await bea.get('/api/firm/equipment').expect(200)).body).toEqual({ profiles: [] });
  await bea
    .post(`/api/firm/equipment/${id}`)
    .send({ ...profile, name: 'Mine now' })
    .expect(201);
  const own = (await anna.get('/api/firm/equipment')).body as { profiles: { id: string; name: string }[] };
  expect(own.profiles.find((each) => each.id === id)?.name).toBe(profile.name);
  expect((await bea.get('/api/firm/terms')).body).toEqual({ terms: { options: [], bands: [] } });
  await bench.anyone().get('/api/firm/equipment').expect(401);
});
