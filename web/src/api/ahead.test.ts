import { askAhead, askedAheadOrNow } from './ahead';

const asked: string[] = [];
jest.mock('./client', () => ({
  fetcher: (path: string) => {
    asked.push(path);
    return path === '/gone' ? Promise.reject(new Error('gone')) : Promise.resolve(`${path} ${asked.length}`);
  },
}));

beforeEach(() => {
  asked.length = 0;
});
afterEach(() => {
  jest.useRealTimers();
});

describe('asking ahead', () => {
  it('asks once for what is then taken, and again the next time', async () => {
    askAhead('/jobs/1');
    expect(await askedAheadOrNow('/jobs/1')).toBe('/jobs/1 1');
    expect(await askedAheadOrNow('/jobs/1')).toBe('/jobs/1 2');
    expect(asked).toHaveLength(2);
  });

  it('asks now for what was not asked for ahead, or so long ago that it may have changed', async () => {
    jest.useFakeTimers({ now: 0 });
    askAhead('/jobs/1');
    jest.setSystemTime(9_999);
    expect(await askedAheadOrNow('/jobs/2')).toBe('/jobs/2 2');
    jest.setSystemTime(10_000);
    expect(await askedAheadOrNow('/jobs/1')).toBe('/jobs/1 3');
  });

  it('tells a failure to whoever takes it, and to nobody where nobody does', async () => {
    askAhead('/gone');
    await Promise.resolve();
    await expect(askedAheadOrNow('/gone')).rejects.toThrow('gone');
  });
});
