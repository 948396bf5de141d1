import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import type { SupplyNode } from '../survey/supply';
import { settledSurvey, type Change } from '../testing/settled-survey';

type Way = { readonly [K in keyof SupplyNode]?: SupplyNode[K] | undefined };

/** Two circuits of 16 A on 2.5 mm² clipped, 6 A and 4 A on them, the second and its load as told. */
function ways(second: Way = {}, secondA: number | null = 4, ...changes: Change[]) {
  const made = assess(
    settledSurvey(
      ({ supply, loads }) => {
        const way = (id: string, more: Way = {}): SupplyNode =>
          Object.assign<SupplyNode, Way>(
            {
              id,
              kind: 'device',
              fedFrom: 'board',
              ratingA: 16,
              deviceType: 'mcb',
              curve: 'B',
              cable: { type: 'flat-twin', sizeMm2: 2.5, lengthM: 10, laid: 'clipped' },
            },
            more,
          );
        supply.nodes.push(way('one'), way('two', second));
        loads.push({ id: 'on-one', class: 'motor', currentA: 6, nodeId: 'one' });
        if (secondA !== null) loads.push({ id: 'on-two', class: 'motor', currentA: secondA, nodeId: 'two' });
      },
      ({ supply }) => {
        const board = supply.nodes.find(({ id }) => id === 'board');
        if (board) board.spareWays = 0;
      },
      ...changes,
    ),
    gbDefault,
  );
  const told = made.findings.find(({ remedy }) => remedy.includes('Circuits that could share a way: '));
  return /Circuits that could share a way: (.*?) A small board/.exec(told?.remedy ?? '')?.[1] ?? null;
}

describe('two circuits that could come from one way (docs/methods/circuit.md)', () => {
  it('6 + 4 = 10 A on devices of 16 A and cables that carry it', () => {
    expect(ways()).toContain('6.0 + 4.0 = 10 A connected, within 16 A, and both cables carry it.');
    // The smaller of two devices is what both are held to.
    expect(ways({ ratingA: 20 })).toContain('within 16 A');
  });
  it.each<[string, Way, number | null]>([
    ['6 + 10.5 A are more than 16 A', {}, 10.5],
    ['nobody knows what is on the second', {}, null],
    ['another curve', { curve: 'C' }, 4],
    ['another kind of device', { deviceType: 'rcbo' }, 4],
    ['a rating above 20 A keeps a way of its own', { ratingA: 32 }, 4],
    ['a rating nobody knows', { ratingA: undefined }, 4],
    ['a cable nobody knows', { cable: undefined }, 4],
    ['a cable of a size there is not', { cable: { type: 'flat-twin', sizeMm2: 2.4, lengthM: 10, laid: 'clipped' } }, 4],
    ['a cable of a kind nobody knows', { cable: { sizeMm2: 2.5, lengthM: 10, laid: 'clipped' } }, 4],
    // 1 mm² in an insulated wall carries less than 16 A.
    [
      'a cable too thin as it is laid',
      { cable: { type: 'flat-twin', sizeMm2: 1, lengthM: 10, laid: 'insulated-wall' } },
      4,
    ],
  ])('not where %s', (_why, second, secondA) => {
    expect(ways(second, secondA)).toBeNull();
  });
  it('not a way that new equipment hangs from', () => {
    expect(
      ways({}, 4, ({ proposals }) => {
        const [car] = proposals;
        if (car) proposals.push({ ...car, id: 'other', nodeId: 'two' });
      }),
    ).toBeNull();
  });
});
