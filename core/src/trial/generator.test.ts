import { HELD_TO } from '../testing/home-ranges';
import { homesFigures } from '../testing/homes';

describe('the generator, a hundred homes of each kind', () => {
  it.each(HELD_TO)(
    '$set',
    ({ set, ...held }) => {
      const found = homesFigures(set);
      const outside = Object.entries({
        meanKwh: found.kwh.mean,
        peakHour: found.wakingPeakHour,
        halfHourKw: found.halfHourKw,
        spread: found.spread,
        tenKw: found.diversifiedKw[10],
        hundredKw: found.diversifiedKw[100],
      }).filter(([name, value]) => {
        const [least, most] = held[name as keyof typeof held];
        return value < least || value > most;
      });
      expect(outside).toEqual([]);
      // The more homes, the less of each comes at once.
      expect(found.diversifiedKw[10]).toBeLessThan(found.halfHourKw);
      expect(found.diversifiedKw[100]).toBeLessThan(found.diversifiedKw[10]);
      expect(found.kwh.p90 / found.kwh.p10).toBeGreaterThan(1.5);
    },
    60_000,
  );
  it('homes known only by their circuits take what others do: 2 000 to 3 600 kWh', () => {
    const circuits = homesFigures('gas-heated', 30, ({ class: kind }) => kind !== 'socket-appliance');
    expect(circuits.kwh.mean).toBeGreaterThan(2000);
    expect(circuits.kwh.mean).toBeLessThan(3600);
  });
});
