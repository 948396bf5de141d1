import { worstTogether } from './interlock';

const load = (id: string, currentA: number, kind = 'shower', interlock?: string, count = 1) => ({
  id,
  class: kind,
  currentA,
  count,
  controlSockets: 0,
  interlock,
});
const ids = (loads: readonly { id: string }[]) => loads.map(({ id }) => id).sort();
const connected = (running: readonly { currentA: number }[]) =>
  running.reduce((total, { currentA }) => total + currentA, 0);

describe('loads that cannot run together', () => {
  it('leave the free ones alone and keep the largest of a class', () => {
    const loads = [load('a', 10, 'shower', 'x'), load('b', 20, 'shower', 'x'), load('c', 5)];
    expect(ids(worstTogether(loads, connected))).toEqual(['b', 'c']);
  });

  it('try each member across classes, for every group at once', () => {
    const loads = [
      load('cooker', 30, 'cooking', 'x'),
      load('car', 20, 'ev', 'x'),
      load('kiln', 25, 'kiln', 'y'),
      load('van', 24, 'ev', 'y'),
    ];
    // Half of cooking counts, all of the rest: the car at 20 A beats the cooker at 15 A.
    const half = (running: readonly { class: string; currentA: number }[]) =>
      running.reduce((total, each) => total + each.currentA * (each.class === 'cooking' ? 0.5 : 1), 0);
    expect(ids(worstTogether(loads, half))).toEqual(['car', 'kiln']);
  });

  it('take an empty word for no interlock', () => {
    expect(worstTogether([load('a', 1, 'shower', ''), load('b', 2, 'shower', '')], connected)).toHaveLength(2);
  });

  it('count every member rather than try thousands of combinations: that can only overstate', () => {
    const loads = Array.from({ length: 20 }, (_, at) =>
      load(`l${at}`, at, at % 2 ? 'ev' : 'kiln', `group ${Math.floor(at / 2)}`),
    );
    expect(worstTogether(loads, connected)).toHaveLength(20);
  });
});
