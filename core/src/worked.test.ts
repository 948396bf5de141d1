import { atLeast, difference, exceeds, figure, given, reckon, sum, unknownFigure, written } from './worked';

describe('working', () => {
  const ten = given('heater', 10, 'A');
  const doubled = reckon('two heaters', 20, 'A', () => ({ expression: '2 × each', substituted: '2 × 10 = 20 A' }), [
    ten,
  ]);

  it('lists each step after the steps it rests on: 10, 2 × 10 = 20, 20 + 5 = 25, 60 − 25 = 35', () => {
    const total = sum('demand', 'A', [doubled, given('lights', 5, 'A')]);
    const left = difference('headroom', given('fuse', 60, 'A'), total);
    expect(left.value).toBe(35);
    expect(left.steps().map(({ substituted }) => substituted)).toEqual([
      '2 × 10 = 20 A',
      '20 + 5 = 25 A',
      '60 − 25 = 35 A',
    ]);
    expect(left.steps().at(-1)).toMatchObject({ label: 'headroom', expression: 'fuse − demand', value: 35, unit: 'A' });
  });

  it('adds no step for a sum of one, and says so for a sum of none', () => {
    expect(sum('demand', 'A', [doubled]).steps()).toEqual(doubled.steps());
    expect(sum('demand', 'A', []).steps()).toEqual([
      { label: 'demand', expression: 'nothing to add', substituted: '0 = 0 A', value: 0, unit: 'A' },
    ]);
  });

  it('is written once, and only when it is read', () => {
    let written = 0;
    const counted = reckon('x', 1, 'A', () => ({ expression: String((written += 1)), substituted: '' }));
    const made = figure(counted);
    expect(written).toBe(0);
    expect(made.working).toBe(made.working);
    expect(written).toBe(1);
  });

  it('goes into JSON with the figure, and leaves out a reason that is not there', () => {
    expect(JSON.parse(JSON.stringify(figure(doubled, 'exact', undefined, 'MD now')))).toEqual({
      label: 'MD now',
      value: 20,
      unit: 'A',
      bound: 'exact',
      working: [{ label: 'two heaters', expression: '2 × each', substituted: '2 × 10 = 20 A', value: 20, unit: 'A' }],
    });
  });

  it('stays unknown when made a lower bound', () => {
    const unknown = unknownFigure('MD', 'A', 'No loads.');
    expect(atLeast(unknown, 'more')).toBe(unknown);
    expect(atLeast(figure(doubled), 'more')).toMatchObject({ value: 20, bound: 'at-least', why: 'more' });
  });

  it('writes two decimals, whole numbers plain, and lets rounding noise through', () => {
    expect([written(20), written(20.456), written(0.1 + 0.2)]).toEqual(['20', '20.46', '0.30']);
    expect(exceeds(0.1 + 0.2, 0.3)).toBe(false);
    expect(exceeds(60.04, 60)).toBe(false);
    expect(exceeds(60.06, 60)).toBe(true);
  });
});
