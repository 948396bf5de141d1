/**
 * A stand-in logger: plays a made-up house and writes what a logger or a supplier's export would. Run with
 * `node dist/server/logger.js --dialect plain --days 14 --seed 3 > log.csv`.
 */
import { ukAheadMs } from '@keen-gauge/core/demand/measured/cells';
import { parseArgs } from 'node:util';
import { madeUpHouse } from './house';

export const DIALECTS = ['plain', 'three-phase', 'comma', 'nasty', 'half-hourly'] as const;
export type Dialect = (typeof DIALECTS)[number];

export interface LoggerOptions {
  readonly dialect: Dialect;
  readonly days: number;
  readonly seed: number;
  /** Date of the first day, YYYY-MM-DD. */
  readonly from: string;
  /** Seconds between readings, where the dialect has a choice. */
  readonly everyS: number;
}

const pad = (value: number): string => String(value).padStart(2, '0');

function parts(utcMs: number): { date: string; time: string; day: string; month: string; year: string } {
  const at = new Date(utcMs);
  const [day, month, year] = [pad(at.getUTCDate()), pad(at.getUTCMonth() + 1), String(at.getUTCFullYear())];
  return {
    date: `${year}-${month}-${day}`,
    time: `${pad(at.getUTCHours())}:${pad(at.getUTCMinutes())}`,
    day,
    month,
    year,
  };
}

/** The lines of a log, one by one, so that a year of it needs no more memory than a day. */
export function logLines(options: LoggerOptions): Generator<string> {
  const writers: Readonly<Record<Dialect, (options: LoggerOptions) => Generator<string>>> = {
    plain,
    'three-phase': threePhase,
    comma,
    nasty,
    'half-hourly': halfHourly,
  };
  return writers[options.dialect](options);
}

function* moments({ from, days, everyS }: LoggerOptions): Generator<number> {
  const start = Date.parse(`${from}T00:00:00Z`);
  for (let at = 0; at < (days * 86_400) / everyS; at += 1) yield start + at * everyS * 1000;
}

/** Amperes against universal time, plainly. */
function* plain(options: LoggerOptions): Generator<string> {
  const house = madeUpHouse(options.seed);
  yield 'time (UTC),current (A)';
  for (const ms of moments(options))
    yield `${new Date(ms).toISOString().slice(0, 19)}Z,${house.at(ms / 60_000).toFixed(2)}`;
}

/** Watts on three phases by the local clock, day first, tab between, voltages among them. */
function* threePhase(options: LoggerOptions): Generator<string> {
  const houses = [1, 2, 3].map((phase) => madeUpHouse(options.seed + phase * 101));
  yield 'Logger\tmade up';
  yield 'Timestamp\tV_L1 (V)\tP_L1 (W)\tP_L2 (W)\tP_L3 (W)';
  for (const ms of moments(options)) {
    const { day, month, year, time } = parts(ms + ukAheadMs(ms));
    const watts = houses.map((house) => (house.at(ms / 60_000) * 230).toFixed(0));
    yield [`${day}/${month}/${year} ${time}`, '238.4', ...watts].join('\t');
  }
}

/** Decimal commas and semicolons, date and time apart. */
function* comma(options: LoggerOptions): Generator<string> {
  const house = madeUpHouse(options.seed);
  yield 'Date;Time;Current [A];Temperature';
  for (const ms of moments(options)) {
    const { day, month, year, time } = parts(ms + ukAheadMs(ms));
    yield `${day}.${month}.${year};${time};${house
      .at(ms / 60_000)
      .toFixed(2)
      .replace('.', ',')};19,5`;
  }
}

/** What goes wrong in practice, all in one: a title, quotes, thousands signs, gaps, repeats, steps back, words, a formula. */
function* nasty(options: LoggerOptions): Generator<string> {
  const house = madeUpHouse(options.seed);
  yield '"Export, made up";;';
  yield ';;';
  yield '"When";"Load (W)";"Note"';
  let at = 0;
  let held = '';
  for (const ms of moments(options)) {
    at += 1;
    const { day, month, year, time } = parts(ms + ukAheadMs(ms));
    const watts = house.at(ms / 60_000) * 230;
    const shown =
      watts >= 1000
        ? `${Math.floor(watts / 1000)},${pad(Math.floor((watts % 1000) / 10))}${Math.floor(watts % 10)}.0`
        : watts.toFixed(1);
    const line = `"${day}/${month}/${year} ${time}";"${shown}";""`;
    if (at % 997 === 0) continue;
    if (at % 1500 === 0) yield held;
    if (at % 1700 === 0) yield `"${day}/${month}/${year} ${time}";"=HYPERLINK(""x"")";"error"`;
    else if (at % 1900 === 0) yield `"${day}/${month}/${year} ${time}";"-${shown}";"reversed"`;
    else if (at % 2100 === 0) yield 'logger restarted;;';
    else yield line;
    held = line;
  }
}

/** A row a day of forty-eight half hours in kWh, as suppliers send them. */
function* halfHourly(options: LoggerOptions): Generator<string> {
  const house = madeUpHouse(options.seed);
  const times = Array.from({ length: 48 }, (_, half) => `${pad(half >> 1)}:${half % 2 ? '30' : '00'}`);
  yield ['date kWh', ...times].join(',');
  const start = Date.parse(`${options.from}T00:00:00Z`);
  for (let day = 0; day < options.days; day += 1) {
    const midnight = start + day * 86_400_000;
    const cells = times.map((_time, half) => {
      let amperes = 0;
      for (let minute = 0; minute < 30; minute += 1) amperes += house.at(midnight / 60_000 + half * 30 + minute);
      return ((amperes / 60) * 0.23).toFixed(3);
    });
    const { day: date, month, year } = parts(midnight);
    yield [`${date}/${month}/${year}`, ...cells].join(',');
  }
}

/** Writes a log to standard output when run by itself. */
export function runLogger(argv: readonly string[], write: (text: string) => void): void {
  const { values } = parseArgs({
    args: [...argv],
    options: {
      dialect: { type: 'string', default: 'plain' },
      days: { type: 'string', default: '14' },
      seed: { type: 'string', default: '1' },
      from: { type: 'string', default: '2026-01-05' },
      every: { type: 'string', default: '60' },
    },
  });
  const dialect = DIALECTS.find((each) => each === values.dialect);
  if (!dialect) throw new Error(`--dialect: one of ${DIALECTS.join(', ')}`);
  const options = {
    dialect,
    days: Number(values.days),
    seed: Number(values.seed),
    from: values.from,
    everyS: Number(values.every),
  };
  for (const line of logLines(options)) write(`${line}\n`);
}
