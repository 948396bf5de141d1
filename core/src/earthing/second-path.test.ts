import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import type { Proposal } from '../survey/proposal';
import { settledSurvey, type Change } from '../testing/settled-survey';

const pme: Change = ({ earthing }) => Object.assign(earthing, { arrangement: 'tn-c-s', zeOhm: 0.2 });
const pen =
  (plan: Partial<Proposal>): Change =>
  ({ proposals }) =>
    Object.assign(proposals[0] ?? {}, plan);

function ways(...changes: Change[]) {
  const [assessed] = assess(settledSurvey(pme, ...changes), gbDefault).earthing.openPen;
  return Object.fromEntries((assessed?.ways ?? []).map((way) => [way.method, way]));
}

const declared = { declared: 'yes' as const, reason: 'r' };

describe('a second path to the installation’s earth (docs/methods/earthing.md)', () => {
  it('looked for and none: a built-in disconnection suits by itself and on this site', () => {
    const way = ways(pen({ openPen: 'built-in', pen: { ...declared, secondEarthPath: 'no' } }))['built-in'];
    expect(way).toMatchObject({ state: 'suits', byItself: 'suits' });
  });
  it('there: nothing that disconnects does anything, and the reason is that alone', () => {
    const way = ways(pen({ openPen: 'built-in', pen: { ...declared, secondEarthPath: 'yes' } }))['built-in'];
    expect(way).toMatchObject({ state: 'does-not', byItself: 'suits' });
    expect(way?.reasons).toEqual(['A second path to the installation’s earth defeats the disconnection.']);
  });
  it('not looked for: not known, and that stands first where all else suits', () => {
    const way = ways(pen({ openPen: 'built-in', pen: declared }))['built-in'];
    expect(way).toMatchObject({ state: 'not-known', byItself: 'suits' });
    expect(way?.reasons[0]).toBe('Whether anything else joins its frame to the installation’s earth.');
    expect(way?.reasons.length).toBeGreaterThan(1);
  });
  it('not looked for and not declared either: what is missing of the way itself stands first', () => {
    const way = ways(pen({ openPen: 'built-in', pen: { reason: 'r' } }))['built-in'];
    expect(way?.state).toBe('not-known');
    expect(way?.reasons.at(-1)).toBe('Whether anything else joins its frame to the installation’s earth.');
    expect(way?.reasons.length).toBeGreaterThan(1);
  });
  it('what does not do its work by itself is told for that, whatever the path', () => {
    const way = ways(pen({ openPen: 'built-in', pen: { declared: 'no', secondEarthPath: 'yes', reason: 'r' } }))[
      'built-in'
    ];
    expect(way?.state).toBe('does-not');
    expect(way?.reasons).toEqual(['Its maker does not declare the disconnection.']);
  });
  it('an electrode low enough by itself minds no second path', () => {
    const way = ways(pen({ openPen: 'low-electrode', pen: { electrodeOhm: 1, secondEarthPath: 'yes', reason: 'r' } }))[
      'low-electrode'
    ];
    expect(way?.state).toBe(way?.byItself);
    expect(way?.reasons.join(' ')).not.toContain('second path');
  });
});

describe('the earthing conductor by table and by equation', () => {
  const conductor =
    (values: object): Change =>
    (survey) =>
      (survey.earthing.conductor = { sizeMm2: 16, ...values });
  const assessed = (...changes: Change[]) => assess(settledSurvey(...changes), gbDefault).earthing.conductor;

  it('25 mm² tails ask for 16 mm² by the table; 1150 A for 0.4 s for √(1150² × 0.4) ÷ 143 = 5.09 mm², and the smaller counts', () => {
    const made = assessed(conductor({ faultCurrentA: 1150, disconnectionS: 0.4 }));
    expect(made.byTable.value).toBe(16);
    expect(made.byEquation.value).toBeCloseTo(5.086, 2);
    expect(made.least.value).toBe(made.byEquation.value);
  });
  it('an equation that asks for more than the table does not count: 5000 A for 1 s are 35 mm²', () => {
    const made = assessed(conductor({ faultCurrentA: 5000, disconnectionS: 1 }));
    expect(made.byEquation.value).toBeCloseTo(34.97, 1);
    expect(made.least.value).toBe(16);
  });
  it('half of what the equation needs gives none', () => {
    for (const values of [{ faultCurrentA: 1150 }, { disconnectionS: 0.4 }]) {
      const made = assessed(conductor(values));
      expect(made.byEquation.value).toBeNull();
      expect(made.least.value).toBe(16);
    }
  });
  it('without the size of the tails the equation alone is left; without either nothing is known', () => {
    const bare: Change = ({ supply }) => {
      for (const node of supply.nodes) delete node.cable;
    };
    expect(assessed(bare, conductor({ faultCurrentA: 1150, disconnectionS: 0.4 }))).toMatchObject({
      byTable: { value: null },
      holds: true,
    });
    expect(assessed(bare)).toMatchObject({ least: { value: null }, holds: null });
  });
});
