import type { LoadClass } from '../survey/words/words';

/** Drawn all the time, at a share of its current: a refrigerator in its turn, things on standby. */
interface Steady {
  readonly kind: 'steady';
  readonly share: readonly [least: number, most: number];
}

/** Used now and then: so often a day, at such hours, for so long, at such a share of its current. */
export interface Uses {
  readonly kind: 'uses';
  /** Uses a day of one of it, winter and summer. */
  readonly perDay: readonly [winter: number, summer: number];
  /** When it starts: about so many hours into the day, so widely spread, with a weight each. */
  readonly starts: readonly (readonly [hour: number, spreadH: number, weight: number])[];
  readonly minutes: readonly [least: number, most: number];
  readonly share: readonly [least: number, most: number];
  /** Energy of a use in kWh, in place of its minutes: it runs until it has that. */
  readonly kwh?: readonly [least: number, most: number];
}

/** Follows the outdoor temperature of the made-up year, and goes on and off where it cannot turn down far enough. */
export interface Heat {
  readonly kind: 'heat';
  /** The share of its current that the coldest weather asks for: homes have been given more or less than they need. */
  readonly sized: readonly [least: number, most: number];
  /** It cannot run at less than this share of its current: below that it cycles. */
  readonly leastShare: number;
  /** Its share of the heat is wanted in these hours in full, otherwise at the share named. */
  readonly hours: readonly (readonly [fromH: number, toH: number])[];
  readonly otherwise: number;
  /** The colder it is outside, the more current the same heat takes. */
  readonly pumps: boolean;
}

/** Charged overnight for as long as the coming day’s weather asks for, at its full current. */
export interface Overnight {
  readonly kind: 'overnight';
  readonly fromH: number;
  readonly hours: number;
  /** The share of those hours that the coldest weather asks for. */
  readonly sized: readonly [least: number, most: number];
}

export type Pattern = Steady | Uses | Heat | Overnight;

/** What a load is used like; more than its class says where its size tells a kettle from a refrigerator. */
export const HABIT_IDS = [
  'lighting',
  'controls',
  'direct-heating',
  'cooking',
  'shower',
  'hand-wash',
  'water-store',
  'floor-warming',
  'storage-heating',
  'cold-and-standby',
  'continuous',
  'screens',
  'machine',
  'kettle',
  'short-use',
  'motor',
  'heat-pump',
  'vehicle',
  'battery',
  'hot-tub-sauna-kiln-welder',
] as const;
export type HabitId = (typeof HABIT_IDS)[number];

/**
 * Our own plain estimates in round figures, checked against the ranges of docs/methods/trial.md (`generator.test.ts`), not fitted to
 * anybody's data.
 */
export const HABITS: Readonly<Record<HabitId, readonly Pattern[]>> = {
  lighting: [
    {
      kind: 'uses',
      perDay: [2.2, 1.1],
      starts: [
        [6.8, 0.5, 1],
        [17.3, 1, 2],
      ],
      minutes: [60, 330],
      share: [0.15, 0.6],
    },
  ],
  controls: [
    {
      kind: 'uses',
      perDay: [2, 0.3],
      starts: [
        [6.4, 0.7, 1],
        [16.8, 1.2, 1],
      ],
      minutes: [90, 330],
      share: [0.3, 0.7],
    },
  ],
  'direct-heating': [
    {
      kind: 'heat',
      sized: [0.45, 0.85],
      leastShare: 1,
      hours: [
        [6.5, 9],
        [16, 22.5],
      ],
      otherwise: 0.1,
      pumps: false,
    },
  ],
  cooking: [
    {
      kind: 'uses',
      perDay: [1.15, 1.05],
      starts: [
        [7.6, 0.6, 1],
        [12.7, 0.7, 1],
        [17.9, 0.8, 4],
      ],
      minutes: [20, 60],
      share: [0.15, 0.45],
    },
  ],
  shower: [
    {
      kind: 'uses',
      perDay: [1.7, 1.7],
      starts: [
        [7.2, 1, 2],
        [18.2, 1.3, 2],
        [21, 1.2, 1],
      ],
      minutes: [5, 10],
      share: [0.95, 1],
    },
  ],
  'hand-wash': [{ kind: 'uses', perDay: [6, 6], starts: [[13, 4, 1]], minutes: [1, 2], share: [1, 1] }],
  'water-store': [
    {
      kind: 'uses',
      perDay: [0.8, 0.7],
      starts: [
        [3, 1.5, 2],
        [16.5, 2, 1],
      ],
      minutes: [40, 120],
      share: [1, 1],
    },
  ],
  'floor-warming': [
    {
      kind: 'heat',
      sized: [0.5, 0.9],
      leastShare: 1,
      hours: [
        [5.5, 8.5],
        [16.5, 21],
      ],
      otherwise: 0.1,
      pumps: false,
    },
  ],
  'storage-heating': [{ kind: 'overnight', fromH: 0.5, hours: 7, sized: [0.55, 1] }],
  'cold-and-standby': [{ kind: 'steady', share: [0.18, 0.3] }],
  continuous: [{ kind: 'steady', share: [0.6, 0.9] }],
  screens: [
    { kind: 'steady', share: [0.07, 0.15] },
    {
      kind: 'uses',
      perDay: [2.2, 1.8],
      starts: [
        [7.5, 1, 1],
        [13, 3, 1],
        [18.9, 1.4, 3],
      ],
      minutes: [60, 240],
      share: [0.3, 0.7],
    },
  ],
  machine: [
    {
      kind: 'uses',
      perDay: [0.6, 0.6],
      starts: [
        [9, 2, 2],
        [14, 3, 1],
        [18.8, 1.5, 3],
      ],
      minutes: [20, 45],
      share: [0.8, 1],
    },
  ],
  kettle: [
    {
      kind: 'uses',
      perDay: [4.5, 4],
      starts: [
        [7.3, 0.8, 2],
        [10.5, 1, 1],
        [13, 1, 1],
        [17.5, 1.5, 2],
        [20.5, 1, 1],
      ],
      minutes: [2, 4],
      share: [0.95, 1],
    },
  ],
  'short-use': [
    {
      kind: 'uses',
      perDay: [1.4, 1.4],
      starts: [
        [7.6, 1, 2],
        [12.8, 2, 1],
        [18.2, 1.3, 2],
      ],
      minutes: [3, 12],
      share: [0.8, 1],
    },
  ],
  motor: [{ kind: 'uses', perDay: [1, 1], starts: [[14, 4, 1]], minutes: [10, 60], share: [0.7, 1] }],
  'heat-pump': [
    // Hot water first, once a day, after the morning or before it; the rooms have what is left of the time.
    {
      kind: 'uses',
      perDay: [1, 0.9],
      starts: [
        [3.5, 1, 1],
        [13.5, 1.5, 2],
      ],
      minutes: [30, 60],
      share: [0.65, 0.9],
    },
    { kind: 'heat', sized: [0.4, 0.8], leastShare: 0.3, hours: [[5, 22]], otherwise: 0.65, pumps: true },
  ],
  vehicle: [
    {
      kind: 'uses',
      perDay: [0.8, 0.75],
      starts: [
        [18, 1.2, 3],
        [0.6, 0.3, 1],
      ],
      minutes: [10, 720],
      share: [1, 1],
      kwh: [3, 15],
    },
  ],
  battery: [{ kind: 'uses', perDay: [0.9, 0.7], starts: [[1, 0.5, 1]], minutes: [90, 240], share: [1, 1] }],
  'hot-tub-sauna-kiln-welder': [
    { kind: 'uses', perDay: [0.4, 0.4], starts: [[18, 3, 1]], minutes: [60, 240], share: [0.9, 1] },
  ],
};

/**
 * How a load is used, by its class and, where one class holds a kettle and a refrigerator, its size in amperes. Socket circuits are used by
 * nothing themselves: what is plugged into them is (`usual-sockets.ts`).
 */
export function habitOf(kind: Exclude<LoadClass, 'socket-circuit'>, currentA: number): HabitId {
  switch (kind) {
    case 'socket-appliance':
      if (currentA > 11.7) return 'kettle';
      if (currentA > 4.3) return 'machine';
      return currentA > 1.3 ? 'screens' : 'cold-and-standby';
    case 'heating-and-power':
      return currentA < 2.2 ? 'controls' : 'direct-heating';
    case 'instantaneous-water-heating':
      return currentA < 22 ? 'hand-wash' : 'shower';
    case 'thermostatic-water-heating':
      return 'water-store';
    case 'ev-charging':
      return 'vehicle';
    default:
      return kind;
  }
}
