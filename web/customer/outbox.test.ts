import { fc, lawRuns } from '@keen-gauge/core/testing/laws';
import { pageKeep } from './kept';
import { Outbox } from './outbox';
import { fitted, newId, type SmallPicture } from './picture';
import { Refused } from './server';

const picture = (id: string): SmallPicture => ({ id, type: 'image/jpeg', bytes: new ArrayBuffer(4) });
/** Everything that is under way has come as far as it can, however much there is to send. */
const settled = (): Promise<void> =>
  new Promise((resolve) => {
    setTimeout(resolve);
  });

/** A server that fails as `failing` says, call by call; what it took, and a telephone whose page can be closed and opened. */
function world(failing: readonly ('no' | 'lost' | 'answer')[] = []) {
  const took = { pictures: [] as string[], answers: new Map<string, { id: string; pictures: readonly string[] }>() };
  const keep = pageKeep();
  const later: (() => void)[] = [];
  let calls = 0;
  const meet = (take: () => void): Promise<void> => {
    const how = failing[calls++] ?? 'no';
    if (how === 'lost') return Promise.reject(new Error('no connection'));
    take();
    // It arrived, and the answer did not.
    return how === 'answer' ? Promise.reject(new Error('cut')) : Promise.resolve();
  };
  const open = async (): Promise<Outbox> => {
    // Whatever a closed page wanted to do later goes with it.
    later.length = 0;
    const outbox = new Outbox(
      'token',
      {
        keep,
        sendPicture: (_token, _step, { id }) => meet(() => took.pictures.push(id)),
        sendAnswer: (_token, { id, step, pictures }) => meet(() => took.answers.set(step, { id, pictures })),
        later: (_milliseconds, work) => later.push(work),
      },
      () => undefined,
    );
    await outbox.open();
    return outbox;
  };
  return { took, keep, later, open };
}

describe('the customer’s outbox', () => {
  it('sends each picture by itself, then the answer, and keeps nothing that has arrived', async () => {
    const { took, keep, open } = world();
    const outbox = await open();
    await outbox.send('meter', { words: 'here' }, [picture('a'), picture('b')]);
    await settled();
    expect(took.pictures).toEqual(['a', 'b']);
    expect(took.answers.get('meter')?.pictures).toEqual(['a', 'b']);
    expect(outbox.of('meter')?.standing).toEqual({ is: 'arrived' });
    expect(await keep.all('token')).toEqual([]);
  });

  it('goes on from the picture that failed, also after the page was closed', async () => {
    const { took, open } = world(['no', 'lost']);
    const first = await open();
    await first.send('meter', {}, [picture('a'), picture('b')]);
    await settled();
    expect(first.of('meter')?.standing).toEqual({ is: 'waiting' });
    const second = await open();
    await settled();
    expect(took.pictures).toEqual(['a', 'b']);
    expect(second.of('meter')?.standing).toEqual({ is: 'arrived' });
  });

  it('keeps what is being made and sends none of it', async () => {
    const { took, open } = world();
    await (await open()).draft('tariff', { words: 'not yet' }, []);
    const again = await open();
    await settled();
    expect(again.of('tariff')).toEqual({ says: { words: 'not yet' }, pictures: [], standing: { is: 'draft' } });
    expect(took.answers.size).toBe(0);
  });

  it('says what the server says, does not try that again by itself, and lets the others by', async () => {
    const { took, open, later } = world();
    const outbox = await open();
    const links = (outbox as unknown as { links: { sendAnswer: unknown } }).links;
    const usual = links.sendAnswer as (token: string, answer: { step: string }) => Promise<unknown>;
    links.sendAnswer = (token: string, answer: { step: string }) =>
      answer.step === 'bill' ? Promise.reject(new Refused(422, 'Look at the number again.')) : usual(token, answer);
    await outbox.send('bill', { number: '1' }, []);
    await outbox.send('tariff', { words: 'x' }, []);
    await settled();
    expect(outbox.of('bill')?.standing).toEqual({ is: 'refused', says: 'Look at the number again.' });
    expect(took.answers.has('tariff')).toBe(true);
    expect(later).toEqual([]);
  });

  it('loses nothing and sends nothing for good twice, wherever the line breaks and the page is closed', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.constantFrom('no', 'lost', 'answer'), { maxLength: 30 }),
        fc.array(fc.nat(3), { minLength: 1, maxLength: 6 }),
        fc.nat(4),
        async (failing, counts, closed) => {
          const { took, keep, later, open } = world(failing);
          let outbox = await open();
          for (const [at, count] of counts.entries())
            await outbox.send(
              `step-${at}`,
              { words: String(at) },
              Array.from({ length: count }, (_, n) => picture(`${at}-${n}`)),
            );
          await settled();
          for (let times = 0; times < closed; times += 1) {
            outbox = await open();
            await settled();
          }
          // As long as there is something to be tried again.
          for (let tries = 0; tries < 200 && later.length > 0; tries += 1) {
            later.shift()?.();
            await settled();
          }
          expect(Array.from(took.answers.keys()).sort()).toEqual(counts.map((_, at) => `step-${at}`).sort());
          for (const [at, count] of counts.entries())
            expect(took.answers.get(`step-${at}`)?.pictures).toEqual(
              Array.from({ length: count }, (_, n) => `${at}-${n}`),
            );
          expect((await keep.all('token')).map(({ step }) => step)).toEqual([]);
        },
      ),
      { numRuns: lawRuns(60) },
    );
  });
});

describe('a picture', () => {
  it('is made no larger than legible, and never enlarged', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9000 }), fc.integer({ min: 1, max: 9000 }), (width, height) => {
        const small = fitted(width, height);
        expect(Math.max(small.width, small.height)).toBeLessThanOrEqual(Math.max(2000, 0));
        expect(small.width).toBeLessThanOrEqual(width);
        if (Math.max(width, height) <= 2000) expect(small).toEqual({ width, height });
      }),
    );
  });

  it('has an id as the server takes it', () => {
    expect(newId()).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
  });
});
