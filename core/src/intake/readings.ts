import type { Station, Statement } from '../finding';
import type { Reading } from '../survey/reading';
import type { Survey } from '../survey/survey';
import type { Bound, ReadingKind } from '../survey/words/words';

/** What a kind of reading is, and between which values nobody would look twice. */
export interface ReadingForm {
  readonly name: string;
  readonly unit: 'Ω' | 'kA' | 'V' | 'A' | 'MΩ' | 'ms';
  readonly likely: readonly [number, number];
  readonly why: string;
  readonly station: Station;
}

/** The kinds of reading. Likely values are those met on 230 V public supplies; outside them the reading is questioned. */
export const READING_FORMS: Readonly<Record<ReadingKind, ReadingForm>> = {
  'loop-impedance-external': {
    name: 'Loop impedance Ze',
    unit: 'Ω',
    likely: [0.02, 2],
    why: 'public TN supplies lie between 0.02 and 2 Ω; on TT it is the electrode that is read',
    station: 'earthing',
  },
  'prospective-fault-current': {
    name: 'Prospective fault current',
    unit: 'kA',
    likely: [0.1, 16],
    why: 'operators declare 16 kA at most, and under 0.1 kA a fuse would hardly clear',
    station: 'earthing',
  },
  voltage: {
    name: 'Voltage',
    unit: 'V',
    likely: [216.2, 253],
    why: '230 V is kept within −6 % and +10 %',
    station: 'cut-out',
  },
  'clamp-current': {
    name: 'Clamp amperes',
    unit: 'A',
    likely: [0, 120],
    why: 'more than a cut-out fuse carries for long',
    station: 'loads',
  },
  'electrode-resistance': {
    name: 'Electrode resistance',
    unit: 'Ω',
    likely: [1, 1667],
    why: 'rods lie above 1 Ω, and 50 V ÷ 30 mA allows 1667 Ω at most',
    station: 'earthing',
  },
  'insulation-resistance': {
    name: 'Insulation resistance',
    unit: 'MΩ',
    likely: [1, 1000000],
    why: 'under 1 MΩ is below what a sound circuit shows',
    station: 'tests',
  },
  'loop-impedance-circuit': {
    name: 'Loop impedance Zs',
    unit: 'Ω',
    likely: [0.05, 20],
    why: 'a circuit adds to the supply’s own impedance',
    station: 'tests',
  },
  'r1-r2': {
    name: 'R1 + R2',
    unit: 'Ω',
    likely: [0.01, 10],
    why: 'a circuit in a building has between 0.01 and 10 Ω',
    station: 'tests',
  },
  'r1-rn': {
    name: 'R1 + Rn',
    unit: 'Ω',
    likely: [0.01, 10],
    why: 'a circuit in a building has between 0.01 and 10 Ω',
    station: 'tests',
  },
  'rcd-time': {
    name: 'RCD trip time',
    unit: 'ms',
    likely: [4, 500],
    why: 'RCDs trip within half a second, and none at once',
    station: 'tests',
  },
};

/** A value as an instrument shows it: a number, or the end of its range with a sign before it. */
export function readReading(text: string): { readonly value: number; readonly bound: Bound } | null {
  const parts = /^([<>≤≥]?)\s*(\d+(?:[.,]\d+)?)$/.exec(text.trim());
  const value = Number(parts?.[2]?.replace(',', '.'));
  if (!parts || !Number.isFinite(value)) return null;
  const sign = parts[1] ?? '';
  return { value, bound: sign === '' ? 'exact' : sign === '>' || sign === '≥' ? 'above' : 'below' };
}

const BOUND_SIGNS: Readonly<Record<Bound, string>> = { exact: '', above: '> ', below: '< ' };

/** The value with its bound, without its unit. */
export function readingValue({ value, bound = 'exact' }: Pick<Reading, 'value' | 'bound'>): string {
  return value === undefined ? '' : `${BOUND_SIGNS[bound]}${value}`;
}

/** The reading as people write it: “> 999 MΩ”. */
export function readingText(reading: Reading): string {
  return reading.value === undefined ? 'not taken' : `${readingValue(reading)} ${READING_FORMS[reading.kind].unit}`;
}

/** The highest of a kind, whichever were taken; undefined where none was. A bound above counts as at least its value. */
export function highestReading(survey: Survey, kind: ReadingKind, also?: number): number | undefined {
  const values = survey.readings.flatMap((reading) =>
    reading.kind === kind && reading.value !== undefined ? [reading.value] : [],
  );
  if (also !== undefined) values.push(also);
  return values.length === 0 ? undefined : Math.max(...values);
}

/** An instrument out of calibration, and a voltage that was looked at again and stands outside what is kept. */
export function readingFindings(survey: Survey): Statement[] {
  return survey.readings.flatMap((reading): Statement[] => {
    const form = READING_FORMS[reading.kind];
    const about = { station: form.station, subjectId: reading.id, grade: 'act' } as const;
    const findings: Statement[] = [];
    const day = reading.takenAt?.slice(0, 10);
    if (reading.calibrationDue !== undefined && day !== undefined && day > reading.calibrationDue)
      findings.push({
        ...about,
        id: 'calibration-overdue',
        on: 'workmanship',
        askOf: 'surveyor',
        title: `${form.name}: ${reading.instrument ?? 'the instrument'} was due for calibration on ${reading.calibrationDue}.`,
        remedy: 'Take it again with an instrument in date, or have this one checked.',
      });
    if (reading.kind === 'voltage' && reading.confirmed === true && !isLikely(reading))
      findings.push({
        ...about,
        id: 'voltage-outside-limits',
        on: 'intake',
        askOf: 'operator',
        title: `Voltage ${readingText(reading)} is outside what the operator has to keep: ${form.why}.`,
        remedy: 'Tell the operator before any load is added.',
      });
    return findings;
  });
}

/** Whether a value is one nobody would look at twice. A bound says only that it lies beyond; it is likely as long as likely values do. */
export function isLikely(reading: Reading): boolean {
  const { value, bound = 'exact' } = reading;
  const [least, most] = READING_FORMS[reading.kind].likely;
  if (value === undefined) return true;
  if (bound === 'above') return value <= most;
  if (bound === 'below') return value >= least;
  return value >= least && value <= most;
}
