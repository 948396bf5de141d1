type Range = readonly [least: number, most: number];

/** What docs/methods/trial.md holds each kind of home to, and from where. */
export const HELD_TO: readonly {
  readonly set: string;
  readonly meanKwh: Range;
  readonly peakHour: Range;
  readonly halfHourKw: Range;
  readonly spread: Range;
  readonly tenKw: Range;
  readonly hundredKw: Range;
}[] = [
  {
    set: 'gas-heated',
    meanKwh: [2700, 3300],
    peakHour: [17, 20],
    halfHourKw: [4, 7],
    spread: [0.35, 0.6],
    tenKw: [1.4, 2.6],
    hundredKw: [1, 2],
  },
  {
    set: 'gas-heated-flat',
    meanKwh: [1800, 3000],
    peakHour: [17, 20],
    halfHourKw: [3, 6.5],
    spread: [0.35, 0.6],
    tenKw: [1.2, 2.4],
    hundredKw: [0.8, 1.8],
  },
  {
    set: 'gas-heated-shower',
    meanKwh: [3000, 4200],
    peakHour: [17, 20],
    halfHourKw: [5, 10],
    spread: [0.35, 0.6],
    tenKw: [1.8, 3.4],
    hundredKw: [1.2, 2.4],
  },
  {
    set: 'heat-pump-home',
    meanKwh: [5000, 11000],
    peakHour: [16, 20],
    halfHourKw: [5, 11],
    spread: [0.2, 0.5],
    tenKw: [3, 5.5],
    hundredKw: [2.5, 4.5],
  },
  {
    set: 'all-electric-home',
    meanKwh: [8000, 15000],
    peakHour: [17, 20],
    halfHourKw: [10, 18],
    spread: [0.15, 0.5],
    tenKw: [8, 14],
    hundredKw: [7, 13],
  },
  {
    set: 'all-electric-flat',
    meanKwh: [4000, 9000],
    peakHour: [16, 21],
    halfHourKw: [6, 12],
    spread: [0.25, 0.6],
    tenKw: [2.5, 5.5],
    hundredKw: [2, 4.5],
  },
];
