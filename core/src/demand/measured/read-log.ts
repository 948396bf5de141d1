import type { Phase } from '../../survey/words/words';
import { Clock, DAY_MS, readClockCell, readNumberCell, TimeReader } from './cells';
import { isEnergy, type LogMapping, type LogUnit } from './mapping';
import type { FaultCount, LogFaults, LogSeries } from './series';

/** Above this no domestic or small commercial supply goes, in amperes a phase; a reading above it is a slip of unit. */
const IMPOSSIBLE_A = 2000;
const ROWS_NAMED = 5;
/** So many faults are marked on the plot; more would blacken it. */
const TIMES_KEPT = 500;
const STUCK_S = 6 * 3600;

/** Amperes, watts or watt-hours in one of each unit. */
const PER_UNIT: Readonly<Record<LogUnit, number>> = {
  A: 1,
  mA: 0.001,
  W: 1,
  VA: 1,
  kW: 1000,
  kVA: 1000,
  Wh: 1,
  kWh: 1000,
};

class Count {
  count = 0;
  readonly rows: number[] = [];

  add(row: number): void {
    this.count += 1;
    if (this.rows.length < ROWS_NAMED) this.rows.push(row);
  }

  done(): FaultCount {
    return { count: this.count, rows: this.rows };
  }
}

/**
 * Reads a log row by row into amperes against time, as its mapping says. Faults are counted and told, never repaired:
 * a reading that cannot be used is left out, and what is left out is not there.
 */
export class LogReader {
  private times = new Float64Array(4096);
  private readonly columns: Float32Array[];
  private length = 0;
  private row = 0;
  private readonly clock: Clock;
  private readonly timeReader: TimeReader;
  private readonly noTime = new Count();
  private readonly noNumber = new Count();
  private readonly repeated = new Count();
  private readonly backward = new Count();
  private lastUtcS = -Infinity;
  private readonly faultTimes: number[] = [];

  constructor(
    private readonly mapping: LogMapping,
    private readonly volts: number,
  ) {
    this.columns = mapping.values.map(() => new Float32Array(4096));
    this.clock = new Clock(mapping.zone);
    this.timeReader = new TimeReader(mapping.timeFormat);
  }

  /** Takes the next rows of the file, in its order, those before the first reading included. */
  add(rows: readonly (readonly string[])[]): void {
    for (const row of rows) {
      this.row += 1;
      if (this.row <= this.mapping.skipRows) continue;
      if (row.length === 1 && (row[0] ?? '').trim() === '') continue;
      if (this.mapping.layout === 'wide') this.addDay(row);
      else this.addRow(row);
    }
  }

  private addRow(row: readonly string[]): void {
    const utcS = this.timeOf(row);
    if (utcS === null) {
      this.noTime.add(this.row);
      return;
    }
    if (!this.place(utcS)) return;
    this.mapping.values.forEach(({ column }, at) => {
      const value = readNumberCell(row[column] ?? '', this.mapping.decimal);
      if (Number.isNaN(value)) this.fault(this.noNumber, utcS);
      const values = this.columns[at];
      if (values) values[this.length - 1] = value;
    });
  }

  /**
   * A row that is a day of the local clock. On the two days that are an hour longer or shorter a row has as many values as the day had, or, where
   * it has the usual number all the same, each stands at the time its column is named for.
   */
  private addDay(row: readonly string[]): void {
    const { timeColumns, values, perDay = 48, every = 1, longDay = false, zone, decimal } = this.mapping;
    const written = this.timeReader.read(row[timeColumns[0] ?? 0] ?? '');
    if (!written) {
      this.noTime.add(this.row);
      return;
    }
    const startS = this.clock.toUtc(written) / 1000;
    const first = values[0]?.column ?? 1;
    const stepS = 86_400 / perDay;
    const cell = (at: number): string => row[first + at * every] ?? '';
    const slots =
      zone === 'uk-local' && !written.absolute
        ? Math.round((new Clock(zone).toUtc({ ms: written.ms + DAY_MS, absolute: false }) / 1000 - startS) / stepS)
        : perDay;
    const most = longDay ? Math.max(perDay, slots) : perDay;
    let filled = most;
    while (filled > 0 && Number.isNaN(readNumberCell(cell(filled - 1), decimal))) filled -= 1;
    const byName = filled > slots || (slots > perDay && filled <= perDay);
    const count = byName ? perDay : slots;
    for (let at = 0; at < count; at += 1) {
      const utcS = byName
        ? this.clock.toUtc({ ms: written.ms + at * stepS * 1000, absolute: written.absolute }) / 1000
        : startS + at * stepS;
      const value = readNumberCell(cell(at), decimal);
      // The hour that spring leaves out has no value, whatever stands in its columns.
      if (byName && slots < perDay && this.length > 0 && utcS <= this.lastUtcS) continue;
      if (!this.place(utcS)) continue;
      if (Number.isNaN(value)) this.fault(this.noNumber, utcS);
      const column = this.columns[0];
      if (column) column[this.length - 1] = value;
    }
  }

  private timeOf(row: readonly string[]): number | null {
    const [date = 0, clock] = this.mapping.timeColumns;
    const written = this.timeReader.read(row[date] ?? '');
    if (!written) return null;
    if (clock === undefined) return this.clock.toUtc(written) / 1000;
    const ofDay = readClockCell(row[clock] ?? '');
    if (ofDay === null) return null;
    const midnight = Math.floor(written.ms / DAY_MS) * DAY_MS;
    return this.clock.toUtc({ ms: midnight + ofDay, absolute: written.absolute }) / 1000;
  }

  private fault(count: Count, utcS: number): void {
    count.add(this.row);
    if (this.faultTimes.length < TIMES_KEPT) this.faultTimes.push(utcS);
  }

  /** Makes room for a sample at a time; false where the time is not after the one before. */
  private place(utcS: number): boolean {
    if (utcS === this.lastUtcS) {
      this.fault(this.repeated, utcS);
      return false;
    }
    if (utcS < this.lastUtcS) {
      this.fault(this.backward, utcS);
      return false;
    }
    if (this.length === this.times.length) this.grow();
    this.times[this.length] = utcS;
    this.lastUtcS = utcS;
    this.length += 1;
    return true;
  }

  private grow(): void {
    const times = new Float64Array(this.times.length * 2);
    times.set(this.times);
    this.times = times;
    this.columns.forEach((column, at) => {
      const wider = new Float32Array(column.length * 2);
      wider.set(column);
      this.columns[at] = wider;
    });
  }

  /** The series, once every row has been taken. */
  finish(): LogSeries {
    const times = this.times.slice(0, this.length);
    const intervalS = usualStep(times);
    const [negative, impossible] = [new Count(), new Count()];
    const amperes: Partial<Record<Phase, Float32Array>> = {};
    let stuck = 0;
    let reset = 0;
    const [frozen, nought, dead] = [new Longest(), new Longest(), new Longest()];
    this.mapping.values.forEach(({ phase }, at) => {
      const raw = (this.columns[at] ?? new Float32Array()).slice(0, this.length);
      const values = this.inAmperes(raw, times, intervalS);
      if (this.mapping.accumulating) reset += stepsBack(raw);
      for (let index = 0; index < values.length; index += 1) {
        const value = values[index] ?? NaN;
        if (value < 0) negative.add(index + 1 + this.mapping.skipRows);
        else if (value > IMPOSSIBLE_A) impossible.add(index + 1 + this.mapping.skipRows);
        else continue;
        values[index] = NaN;
        if (this.faultTimes.length < TIMES_KEPT) this.faultTimes.push(times[index] ?? 0);
      }
      stuck += stuckStretches(values, times);
      stretches(values, times, intervalS, frozen, nought, dead);
      amperes[phase] = values;
    });
    return {
      times,
      phases: this.mapping.values.map(({ phase }) => phase),
      amperes,
      intervalS,
      faults: {
        ...this.counted(),
        negative: negative.done(),
        impossible: impossible.done(),
        at: this.faultTimes,
        ...gapsOf(times, intervalS),
        stuck,
        reset,
        frozenS: frozen.seconds,
        noughtS: nought.seconds,
        deadS: dead.seconds,
      },
    };
  }

  private counted(): Pick<LogFaults, 'noTime' | 'noNumber' | 'repeated' | 'backward'> {
    return {
      noTime: this.noTime.done(),
      noNumber: this.noNumber.done(),
      repeated: this.repeated.done(),
      backward: this.backward.done(),
    };
  }

  /** Values in whatever unit as amperes at the nominal voltage; energy by the length of its own interval. */
  private inAmperes(raw: Float32Array, times: Float64Array, intervalS: number): Float32Array {
    const { unit, accumulating } = this.mapping;
    const made = new Float32Array(raw.length);
    if (!isEnergy(unit)) {
      const factor = PER_UNIT[unit] / (unit === 'A' || unit === 'mA' ? 1 : this.volts);
      for (let at = 0; at < raw.length; at += 1) made[at] = (raw[at] ?? NaN) * factor;
      return made;
    }
    for (let at = 0; at < raw.length; at += 1) {
      const seconds = accumulating ? (times[at + 1] ?? NaN) - (times[at] ?? NaN) : intervalS;
      const energy = accumulating ? (raw[at + 1] ?? NaN) - (raw[at] ?? NaN) : (raw[at] ?? NaN);
      made[at] = (energy * PER_UNIT[unit] * 3600) / seconds / this.volts;
    }
    return made;
  }
}

/** The middle of the distances between samples, in seconds; 0 where there are fewer than two. */
function usualStep(times: Float64Array): number {
  const few = Math.min(times.length - 1, 5000);
  if (few < 1) return 0;
  const steps = Float64Array.from({ length: few }, (_, at) => (times[at + 1] ?? 0) - (times[at] ?? 0)).sort();
  return steps[Math.floor(few / 2)] ?? 0;
}

function gapsOf(times: Float64Array, intervalS: number): { gaps: number; gapSeconds: number } {
  let [gaps, gapSeconds] = [0, 0];
  for (let at = 1; at < times.length; at += 1) {
    const step = (times[at] ?? 0) - (times[at - 1] ?? 0);
    if (step <= intervalS * 1.5) continue;
    gaps += 1;
    gapSeconds += step - intervalS;
  }
  return { gaps, gapSeconds };
}

function stuckStretches(values: Float32Array, times: Float64Array): number {
  let [found, since, told] = [0, 0, false];
  for (let at = 1; at < values.length; at += 1) {
    if (values[at] !== values[since]) {
      since = at;
      told = false;
    } else if (!told && (values[at] ?? 0) > 0 && (times[at] ?? 0) - (times[since] ?? 0) > STUCK_S) {
      found += 1;
      told = true;
    }
  }
  return found;
}

/** The longest time something went on for. */
class Longest {
  seconds = 0;
  private sinceS: number | null = null;

  /** Whether it goes on at this moment, which stands for so many seconds. */
  at(goesOn: boolean, nowS: number, forS: number): void {
    if (!goesOn) this.sinceS = null;
    else {
      this.sinceS ??= nowS;
      this.seconds = Math.max(this.seconds, nowS + forS - this.sinceS);
    }
  }
}

/** Under this a reading is the noise of the clamp, in amperes. */
const NOISE_A = 0.3;

/** How long a current stood still, was nought, or was no more than noise, at the longest. What is missing ends each. */
function stretches(
  values: Float32Array,
  times: Float64Array,
  intervalS: number,
  frozen: Longest,
  nought: Longest,
  dead: Longest,
): void {
  let before = NaN;
  for (let at = 0; at < values.length; at += 1) {
    const value = values[at] ?? NaN;
    const now = times[at] ?? 0;
    frozen.at(value > 0 && value === before, now, intervalS);
    nought.at(value === 0, now, intervalS);
    dead.at(value < NOISE_A, now, intervalS);
    before = value;
  }
  // The next line begins anew.
  for (const each of [frozen, nought, dead]) each.at(false, 0, 0);
}

/** How often a register that only rises goes back. */
function stepsBack(raw: Float32Array): number {
  let found = 0;
  for (let at = 1; at < raw.length; at += 1) if ((raw[at] ?? NaN) < (raw[at - 1] ?? NaN)) found += 1;
  return found;
}
