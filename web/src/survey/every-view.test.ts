import { VIEWS } from '../stations/station-names';
import { fetchEveryView } from './view-parts';

const asked: string[] = [];
jest.mock('../kit/lazy-part', () => ({ lazyPart: () => ({ fetchAhead: () => asked.push('a view') }) }));

beforeEach(() => {
  asked.length = 0;
});

describe('having every view come ahead', () => {
  it('asks for each', async () => {
    await fetchEveryView(new AbortController().signal);
    expect(asked).toHaveLength(VIEWS.length);
  });

  it('leaves room for a key between one and the next', async () => {
    const seen: number[] = [];
    const all = fetchEveryView(new AbortController().signal);
    for (let turn = 0; turn < 3; turn += 1) {
      seen.push(asked.length);
      await new Promise((resolve) => setTimeout(resolve));
    }
    await all;
    expect(seen).toEqual([1, 2, 3]);
  });

  it('ends where the survey is left', async () => {
    const left = new AbortController();
    const all = fetchEveryView(left.signal);
    left.abort();
    await all;
    expect(asked).toHaveLength(1);
  });
});
