import { starterBook } from '@keen-gauge/core/price/starter';
import type { PriceBook } from '@keen-gauge/core/price/price-book';
import type { Agent } from 'supertest';
import { testBench, type TestBench } from '../testing/bench';

let bench: TestBench;
let anna: Agent;
let alan: Agent;
let olga: Agent;
beforeAll(async () => {
  bench = await testBench();
  anna = await bench.as('anna@a.example');
  alan = await bench.as('alan@a.example');
  olga = await bench.as('olga@a.example');
});
afterAll(() => bench.close());

interface Shown {
  readonly book: PriceBook;
  readonly version: number;
  readonly hidden: boolean;
}
const seen = async (agent: Agent): Promise<Shown> => (await agent.get('/api/firm/prices').expect(200)).body as Shown;
const save = (agent: Agent, book: object, version: number, status = 201) =>
  agent.post('/api/firm/prices').send({ book, version }).expect(status);

describe('a firm’s prices', () => {
  it('begin with the starter’s, which nobody has touched', async () => {
    expect(await seen(alan)).toEqual({
      book: JSON.parse(JSON.stringify(starterBook())) as object,
      version: 0,
      hidden: false,
    });
  });

  it('are saved by the office and by supervisors, from the version that was seen', async () => {
    const book = starterBook();
    await save(alan, book, 0, 403);
    await save(olga, { ...book, terms: { ...book.terms, hourPence: 5200, starter: false } }, 0);
    expect(await seen(alan)).toMatchObject({ version: 1, book: { terms: { hourPence: 5200 } } });
    // Somebody who looked before that is told, and nothing is written over.
    const late = await save(anna, book, 0, 409);
    expect(late.body).toMatchObject({ title: 'Changed meanwhile' });
    await save(anna, { ...book, terms: { ...book.terms, hourPence: 5300 } }, 1);
    expect((await seen(anna)).version).toBe(2);
  });

  it('two at one moment: one is stored, the other told', async () => {
    const { book, version } = await seen(anna);
    const both = await Promise.all([anna, olga].map((agent) => agent.post('/api/firm/prices').send({ book, version })));
    expect(both.map((each) => each.status).sort()).toEqual([201, 409]);
  });

  it.each<[string, (book: PriceBook) => object, string]>([
    [
      'a price below nought',
      (book) => ({ ...book, items: [{ id: 'a', name: 'A', unit: 'each', buyPence: -1 }] }),
      '$.items[0].buyPence',
    ],
    [
      'half a penny',
      (book) => ({ ...book, items: [{ id: 'a', name: 'A', unit: 'each', buyPence: 0.5 }] }),
      '$.items[0].buyPence',
    ],
    [
      'an item twice',
      (book) => ({ ...book, items: [0, 1].map(() => ({ id: 'a', name: 'A', unit: 'each' })) }),
      '$.items[1]',
    ],
    [
      'tax of no class',
      (book) => ({ ...book, items: [{ id: 'a', name: 'A', unit: 'each', taxClass: 'x' }] }),
      '$.items[0].taxClass',
    ],
    [
      'two rates of one class on a day',
      (book) => ({ ...book, taxes: [...book.taxes, { taxClass: 'standard', name: 'B', percent: 5 }] }),
      '$.taxes[3].from',
    ],
    [
      'a rate that ends before it begins',
      (book) => ({
        ...book,
        taxes: [{ taxClass: 'standard', name: 'A', percent: 5, from: '2026-02-01', to: '2026-01-01' }],
      }),
      '$.taxes[0].to',
    ],
    ['something unknown', (book) => ({ ...book, surprise: 1 }), '$.surprise'],
  ])('with %s are refused with the field named', async (_what, change, path) => {
    const { book, version } = await seen(anna);
    const refused = await save(anna, change(book), version, 422);
    expect((refused.body as { faults: { path: string }[] }).faults.map((each) => each.path)).toContain(path);
  });

  it('are kept from a role the supervisors name: items stay, money goes, and nothing is saved', async () => {
    const { book, version } = await seen(anna);
    await save(olga, { ...book, terms: { ...book.terms, hiddenFrom: ['surveyor'] } }, version, 403);
    await save(anna, { ...book, terms: { ...book.terms, hiddenFrom: ['surveyor', 'office'] } }, version);
    for (const agent of [alan, olga]) {
      const shown = await seen(agent);
      expect(shown.hidden).toBe(true);
      expect(shown.book.items.length).toBe(book.items.length);
      expect(JSON.stringify(shown.book)).not.toMatch(/buyPence|markUpPercent|hourPence|hourCostPence/);
      await agent.get('/api/firm/lessons').expect(403);
    }
    await save(olga, book, version + 1, 403);
    expect((await seen(anna)).hidden).toBe(false);
    await save(anna, { ...book, terms: { ...book.terms, hiddenFrom: [] } }, version + 1);
  });

  it('stand in the firm’s record without a figure', async () => {
    const { entries } = (await anna.get('/api/firm/record').expect(200)).body as {
      entries: { what: string; details: object }[];
    };
    const changed = entries.find(({ what }) => what === 'prices-changed');
    expect(JSON.stringify(changed?.details)).not.toMatch(/[Pp]ence/);
  });
});

describe('schemes of money help', () => {
  it('are the office’s and the supervisors’ to write, and everybody’s to see', async () => {
    const schemes = {
      schemes: [{ id: 's', name: 'Help', outletCapPence: 35000, evidence: [{ id: 'e', text: 'Proof' }] }],
    };
    await alan.post('/api/firm/schemes').send(schemes).expect(403);
    await olga.post('/api/firm/schemes').send(schemes).expect(201);
    expect((await alan.get('/api/firm/schemes').expect(200)).body).toMatchObject(schemes);
    await olga
      .post('/api/firm/schemes')
      .send({ schemes: [{ id: 's', name: '' }] })
      .expect(422);
  });
});
