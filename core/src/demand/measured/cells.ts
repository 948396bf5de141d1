import type { LogZone, TimeFormat } from './mapping';

export const DAY_MS = 86_400_000;
const HOUR_MS = 3_600_000;

/**
 * A number as a logger or spreadsheet writes it: with either decimal sign and the other as thousands separator, with
 * spaces between thousands. NaN for anything else, formulas and words included.
 */
export function readNumberCell(text: string, decimal: '.' | ','): number {
  // By far the most cells are plain; Number is quick and takes no commas.
  if (decimal === '.') {
    const plain = Number(text);
    if (!Number.isNaN(plain)) return text.trim() === '' || !PLAIN.test(text) ? NaN : plain;
  }
  const trimmed = text.trim().replace(/[\u00a0\u202f ']/g, '');
  const bare = decimal === '.' ? trimmed.replace(/,(?=\d{3}(\D|$))/g, '') : trimmed.replace(/\.(?=\d{3}(\D|$))/g, '');
  const dotted = decimal === '.' ? bare : bare.replace(',', '.');
  return PLAIN.test(dotted) ? Number(dotted) : NaN;
}

/** Decimal digits only: no hexadecimal, no “Infinity”. */
const PLAIN = /^\s*[+-]?(\d+\.?\d*|\.\d+)([eE][+-]?\d{1,3})?\s*$/;

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** A time as written, before anyone has said by whose clock: milliseconds as if it were universal time. */
export interface WrittenTime {
  readonly ms: number;
  /** It says its own distance from universal time, and `ms` has allowed for it. */
  readonly absolute: boolean;
}

const YEAR_FIRST =
  /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?:[T ]+(\d{1,2}):?(\d{2})(?::?(\d{2})(?:[.,]\d+)?)?\s*(Z|[+-]\d{2}:?\d{2})?)?$/;
const OTHERS =
  /^(\d{1,2})[-/. ](\d{1,2}|[A-Za-z]{3,9})[-/. ,]+(\d{4}|\d{2})(?:[T ,]+(\d{1,2})[:.](\d{2})(?:[:.](\d{2})(?:[.,]\d+)?)?\s*([AaPp][Mm])?)?$/;

/** A time cell by its format; null when it is none. A date without a time is its midnight. */
export function readTimeCell(text: string, format: TimeFormat): WrittenTime | null {
  const trimmed = text.trim();
  if (format === 'epoch-s' || format === 'epoch-ms' || format === 'spreadsheet') {
    const value = Number(trimmed);
    if (trimmed === '' || !Number.isFinite(value) || value <= 0) return null;
    // A spreadsheet counts days from the end of 1899, by its own clock.
    if (format === 'spreadsheet')
      return value < 90_000 ? { ms: Math.round((value - 25_569) * 86_400) * 1000, absolute: false } : null;
    const ms = format === 'epoch-s' ? value * 1000 : value;
    return ms > 3e11 && ms < 5e12 ? { ms, absolute: true } : null;
  }
  if (format === 'year-first') {
    const parts = YEAR_FIRST.exec(trimmed);
    if (!parts) return null;
    const ms = utc(num(parts[1]), num(parts[2]), num(parts[3]), num(parts[4]), num(parts[5]), num(parts[6]));
    if (ms === null) return null;
    const zone = parts[7];
    return zone === undefined ? { ms, absolute: false } : { ms: ms - offsetMs(zone), absolute: true };
  }
  const parts = OTHERS.exec(trimmed);
  if (!parts) return null;
  const [first, second, year] = [num(parts[1]), parts[2] ?? '', num(parts[3])];
  const named = MONTHS.indexOf(second.slice(0, 3).toLowerCase()) + 1;
  if ((format === 'day-month-name') !== named > 0) return null;
  const [day, month] = format === 'month-first' ? [num(second), first] : [first, named || num(second)];
  let hour = num(parts[4]);
  const half = parts[7]?.toLowerCase();
  if (half === 'pm' && hour < 12) hour += 12;
  if (half === 'am' && hour === 12) hour = 0;
  const ms = utc(year < 100 ? 2000 + year : year, month, day, hour, num(parts[5]), num(parts[6]));
  return ms === null ? null : { ms, absolute: false };
}

/** A time of day, `13:45[:00]`, with am or pm, or as a fraction of a day, as milliseconds from midnight; null when it is none. */
export function readClockCell(text: string): number | null {
  // A workbook keeps a time of day as a fraction of one, which is that of some whole second.
  if (/^(0|0?\.\d+)$/.test(text.trim())) {
    const seconds = Number(text) * 86_400;
    return Math.abs(seconds - Math.round(seconds)) < 0.01 ? Math.round(seconds) * 1000 : null;
  }
  const parts = /^(\d{1,2})[:.](\d{2})(?:[:.](\d{2})(?:[.,]\d+)?)?\s*([AaPp][Mm])?$/.exec(text.trim());
  if (!parts) return null;
  let hour = num(parts[1]);
  const half = parts[4]?.toLowerCase();
  if (half === 'pm' && hour < 12) hour += 12;
  if (half === 'am' && hour === 12) hour = 0;
  const [minute, second] = [num(parts[2]), num(parts[3])];
  return hour > 24 || minute > 59 || second > 59 ? null : hour * HOUR_MS + minute * 60_000 + second * 1000;
}

/**
 * Reads one column of times. Most rows are of the same day as the row before: its date is then not read again, which a
 * year by the minute is long enough to notice.
 */
export class TimeReader {
  private date = '';
  private midnightMs = 0;

  constructor(private readonly format: TimeFormat) {}

  read(text: string): WrittenTime | null {
    const cut = Math.max(text.indexOf(' '), text.indexOf('T'));
    const ofDayMs = cut > 5 ? plainClockMs(text, cut + 1) : -1;
    if (ofDayMs < 0) return readTimeCell(text, this.format);
    const absolute = text.endsWith('Z');
    if (this.date !== '' && cut === this.date.length && text.startsWith(this.date))
      return { ms: this.midnightMs + ofDayMs, absolute };
    const read = readTimeCell(text, this.format);
    if (read && read.absolute === absolute) {
      this.date = text.slice(0, cut);
      this.midnightMs = read.ms - ofDayMs;
    }
    return read;
  }
}

/** `13:45`, `13:45:30`, either with a Z, from a place in a text to its end, in milliseconds; −1 for anything else. */
function plainClockMs(text: string, from: number): number {
  const end = text.endsWith('Z') ? text.length - 1 : text.length;
  const length = end - from;
  if ((length !== 5 && length !== 8) || text.charCodeAt(from + 2) !== 58) return -1;
  const [hour, minute] = [twoDigits(text, from), twoDigits(text, from + 3)];
  const second = length === 8 ? (text.charCodeAt(from + 5) === 58 ? twoDigits(text, from + 6) : -1) : 0;
  if (hour < 0 || hour > 23 || minute < 0 || minute > 59 || second < 0 || second > 59) return -1;
  return hour * HOUR_MS + minute * 60_000 + second * 1000;
}

function twoDigits(text: string, at: number): number {
  const [tens, ones] = [text.charCodeAt(at) - 48, text.charCodeAt(at + 1) - 48];
  return tens < 0 || tens > 9 || ones < 0 || ones > 9 ? -1 : tens * 10 + ones;
}

function num(text: string | undefined): number {
  return text === undefined ? 0 : Number(text);
}

function utc(year: number, month: number, day: number, hour: number, minute: number, second: number): number | null {
  if (year < 1990 || year > 2100 || month < 1 || month > 12 || day < 1 || day > 31) return null;
  if (hour > 24 || minute > 59 || second > 60) return null;
  const ms = Date.UTC(year, month - 1, day, hour, minute, second);
  // The thirtieth of February is no day.
  return new Date(Date.UTC(year, month - 1, day)).getUTCDate() === day ? ms : null;
}

function offsetMs(zone: string): number {
  if (zone === 'Z') return 0;
  const sign = zone.startsWith('-') ? -1 : 1;
  const digits = zone.slice(1).replace(':', '');
  return sign * (Number(digits.slice(0, 2)) * HOUR_MS + Number(digits.slice(2)) * 60_000);
}

/** The last Sunday of a month at one o'clock universal time, when the clocks of the United Kingdom change. */
function changeOver(year: number, month: number): number {
  const last = new Date(Date.UTC(year, month + 1, 0));
  return Date.UTC(year, month, last.getUTCDate() - last.getUTCDay(), 1);
}

const changes = new Map<number, readonly [number, number]>();

/** Milliseconds the clocks of the United Kingdom are ahead of universal time at a moment of it. */
export function ukAheadMs(utcMs: number): number {
  const year = new Date(utcMs).getUTCFullYear();
  const found = changes.get(year) ?? [changeOver(year, 2), changeOver(year, 9)];
  changes.set(year, found);
  return utcMs >= found[0] && utcMs < found[1] ? HOUR_MS : 0;
}

/**
 * Turns written times into universal time, one after the other. In the hour the clocks go through twice in autumn, the
 * first pass is summer time and the second is not: told apart by the step back between them.
 */
export class Clock {
  private last = -Infinity;

  constructor(private readonly zone: LogZone) {}

  toUtc({ ms, absolute }: WrittenTime): number {
    if (absolute || this.zone === 'utc') return (this.last = ms);
    const summer = ms - HOUR_MS;
    const winter = ms;
    const [isSummer, isWinter] = [ukAheadMs(summer) === HOUR_MS, ukAheadMs(winter) === 0];
    // Both are true in the hour that comes twice; neither in the hour spring leaves out.
    if (isSummer && isWinter) return (this.last = summer > this.last ? summer : winter);
    return (this.last = isSummer ? summer : winter);
  }
}
