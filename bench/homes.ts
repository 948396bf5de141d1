import { homesFigures } from '@keen-gauge/core/testing/homes';
import { HELD_TO } from '@keen-gauge/core/testing/home-ranges';

/** What a hundred homes of each kind come to beside what they are held to: the table of docs/methods/trial.md. */
export function benchHomes(): void {
  for (const { set, ...held } of HELD_TO) {
    const { kwh, wakingPeakHour, peakHour, halfHourKw, spread, diversifiedKw } = homesFigures(set);
    const beside = (value: number, [least, most]: readonly [number, number], digits: number): string =>
      `${value.toFixed(digits)} (${least}–${most})`;
    const cells = [
      set,
      beside(kwh.mean, held.meanKwh, 0),
      `${kwh.p10.toFixed(0)}–${kwh.p90.toFixed(0)}`,
      beside(spread, held.spread, 2),
      `${beside(wakingPeakHour, held.peakHour, 0)}${peakHour === wakingPeakHour ? '' : `, of the night ${peakHour}`}`,
      beside(halfHourKw, held.halfHourKw, 1),
      beside(diversifiedKw[10], held.tenKw, 2),
      beside(diversifiedKw[100], held.hundredKw, 2),
    ];
    console.log(`| ${cells.join(' | ')} |`);
  }
}
