import { seeded } from '@keen-gauge/core/demand/measured/gumbel';

/**
 * A made-up house, minute by minute: something always on, cooking at mealtimes, a shower in the morning, washing, and
 * evenings. Not a model of any home: a repeatable current to try things with. The same seed gives the same house.
 */
export interface House {
  /** Amperes in a minute of universal time, counted from 1970. */
  readonly at: (minute: number) => number;
}

interface Use {
  readonly amperes: number;
  /** Local minute of the day about which it begins, how far either side, for how long, and on how many days in ten. */
  readonly about: number;
  readonly spread: number;
  readonly minutes: number;
  readonly daysInTen: number;
}

const USES: readonly Use[] = [
  { amperes: 37, about: 7 * 60, spread: 50, minutes: 8, daysInTen: 9 },
  { amperes: 12, about: 7 * 60 + 30, spread: 40, minutes: 4, daysInTen: 10 },
  { amperes: 17, about: 18 * 60, spread: 60, minutes: 40, daysInTen: 8 },
  { amperes: 9, about: 10 * 60, spread: 180, minutes: 60, daysInTen: 5 },
  { amperes: 8.5, about: 20 * 60, spread: 60, minutes: 70, daysInTen: 6 },
  { amperes: 12, about: 17 * 60, spread: 90, minutes: 4, daysInTen: 9 },
  { amperes: 2.2, about: 19 * 60, spread: 30, minutes: 240, daysInTen: 10 },
];

/** The house of a seed; `heatingA` runs in cycles from October to March. */
export function madeUpHouse(seed: number, heatingA = 0): House {
  const days = new Map<number, Float32Array>();
  const day = (number: number): Float32Array => {
    const kept = days.get(number);
    if (kept) return kept;
    const random = seeded(seed * 7919 + number * 104_729 + 13);
    for (let at = 0; at < 5; at += 1) random();
    const made = new Float32Array(1440);
    for (let minute = 0; minute < 1440; minute += 1) made[minute] = 0.9 + 0.5 * random() + (minute % 45 < 15 ? 0.6 : 0);
    for (const use of USES) {
      if (random() * 10 >= use.daysInTen) continue;
      const start = Math.round(use.about + (random() * 2 - 1) * use.spread);
      const until = Math.min(1440, start + Math.max(1, Math.round(use.minutes * (0.6 + 0.8 * random()))));
      for (let minute = Math.max(0, start); minute < until; minute += 1)
        made[minute] = (made[minute] ?? 0) + use.amperes;
    }
    const month = new Date(number * 86_400_000).getUTCMonth();
    if (heatingA > 0 && (month < 3 || month > 8))
      for (let minute = 0; minute < 1440; minute += 1)
        if ((minute + Math.floor(random() * 3)) % 60 < 38) made[minute] = (made[minute] ?? 0) + heatingA;
    if (days.size > 40) days.clear();
    days.set(number, made);
    return made;
  };
  return { at: (minute) => day(Math.floor(minute / 1440))[((minute % 1440) + 1440) % 1440] ?? 0 };
}
