import type { LoadClass } from '../survey/words';

/** How one kind of load is used: how often a day, when, for how long, and at what share of its current. */
export interface Habit {
  /** Uses a day of one of it, winter and summer. */
  readonly perDay: readonly [winter: number, summer: number];
  /** When it starts: about so many hours into the day, so widely spread, with a weight each. */
  readonly starts: readonly (readonly [hour: number, spreadH: number, weight: number])[];
  readonly minutes: readonly [least: number, most: number];
  readonly share: readonly [least: number, most: number];
}

/**
 * How loads are used, by class. Our own plain estimates of household habits, in whole numbers on purpose: they are checked
 * against annual energy, the evening peak and the spread between homes (`household.test.ts`), not fitted to anybody's data.
 */
export const HABITS: Readonly<Record<LoadClass, Habit>> = {
  lighting: {
    perDay: [2, 1],
    starts: [
      [6.8, 0.5, 1],
      [17.5, 1.2, 2],
    ],
    minutes: [60, 300],
    share: [0.3, 0.8],
  },
  'heating-and-power': {
    perDay: [1.5, 0.1],
    starts: [
      [7, 1, 1],
      [18.5, 1.5, 2],
    ],
    minutes: [45, 180],
    share: [0.6, 1],
  },
  cooking: {
    perDay: [1.6, 1.4],
    starts: [
      [7.6, 0.6, 1],
      [12.6, 0.7, 1],
      [18, 0.8, 3],
    ],
    minutes: [15, 60],
    share: [0.2, 0.6],
  },
  'instantaneous-water-heating': {
    perDay: [2, 2],
    starts: [
      [7.1, 0.6, 3],
      [21, 1, 1],
    ],
    minutes: [5, 10],
    share: [0.9, 1],
  },
  'thermostatic-water-heating': { perDay: [1.2, 1], starts: [[3, 2, 1]], minutes: [40, 120], share: [1, 1] },
  'floor-warming': {
    perDay: [2, 0.2],
    starts: [
      [6.5, 1, 1],
      [18, 1.5, 1],
    ],
    minutes: [60, 180],
    share: [0.7, 1],
  },
  'storage-heating': { perDay: [1, 0.05], starts: [[0.6, 0.2, 1]], minutes: [240, 420], share: [0.8, 1] },
  'socket-circuit': { perDay: [0, 0], starts: [[12, 1, 1]], minutes: [1, 1], share: [0, 0] },
  'socket-appliance': {
    perDay: [1.5, 1.5],
    starts: [
      [8, 1.5, 1],
      [13, 3, 1],
      [19, 2, 2],
    ],
    minutes: [3, 40],
    share: [0.8, 1],
  },
  motor: { perDay: [1, 1], starts: [[14, 4, 1]], minutes: [10, 60], share: [0.7, 1] },
  'heat-pump': { perDay: [22, 4], starts: [[12, 7, 1]], minutes: [15, 45], share: [0.5, 0.95] },
  'ev-charging': { perDay: [0, 0], starts: [[18, 1, 1]], minutes: [1, 1], share: [0, 0] },
  'hot-tub-sauna-kiln-welder': { perDay: [0.4, 0.4], starts: [[18, 3, 1]], minutes: [60, 240], share: [0.9, 1] },
};

/** What a home always takes, in amperes: a refrigerator in its turn, things on standby. */
export const ALWAYS_A: readonly [least: number, most: number] = [0.5, 1.6];
