import { VIEWS } from '../stations/station-names';
import { fetchEveryView } from './view-parts';

const counts = { coming: 0, most: 0, come: 0 };
const comes = async (): Promise<void> => {
  counts.coming += 1;
  counts.most = Math.max(counts.most, counts.coming);
  await new Promise((resolve) => setTimeout(resolve));
  counts.coming -= 1;
  counts.come += 1;
};

jest.mock('../kit/lazy-part', () => ({ lazyPart: () => ({ fetchAhead: () => comes() }) }));

beforeEach(() => {
  Object.assign(counts, { most: 0, come: 0 });
});

describe('having every view come ahead', () => {
  it('fetches each, and no two at once', async () => {
    await fetchEveryView(new AbortController().signal);
    expect(counts).toEqual({ coming: 0, come: VIEWS.length, most: 1 });
  });

  it('ends where the survey is left, with the one that was on its way', async () => {
    const left = new AbortController();
    const all = fetchEveryView(left.signal);
    left.abort();
    await all;
    expect(counts).toEqual({ coming: 0, come: 1, most: 1 });
  });
});
