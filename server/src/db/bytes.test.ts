import { randomBytes } from 'node:crypto';
import { testBench, type TestBench } from '../testing/bench';
import { bytesOf } from './bytes';
import { inFirm } from './firm-scope';

let bench: TestBench;
beforeAll(async () => {
  bench = await testBench(undefined, 'by hand');
});
afterAll(() => bench.close());

it('come back as they were put in, every byte there is, however many pieces they take; none where there are none', async () => {
  const firm = { firmId: bench.firms[0]?.firmId ?? '' };
  const put: Readonly<Record<string, Buffer>> = {
    all: Buffer.from(Array.from({ length: 256 }, (_, byte) => byte)),
    one: Buffer.from([0]),
    none: Buffer.alloc(0),
    exact: randomBytes(2_000_000),
    more: randomBytes(2_000_001),
  };
  await inFirm(bench.app, firm, async (db) => {
    for (const [key, bytes] of Object.entries(put)) {
      await db.query('INSERT INTO pictures (firm_id, key, bytes) VALUES ($1, $2, $3)', [firm.firmId, key, bytes]);
      const read = await bytesOf(db, 'bytes', 'pictures WHERE key = $1', key);
      expect(read?.equals(bytes)).toBe(true);
    }
    expect(await bytesOf(db, 'bytes', 'pictures WHERE key = $1', 'nothing')).toBeUndefined();
  });
});
