import { analyseLog, type LogAnalysis } from '@keen-gauge/core/demand/measured/analyse';
import { traceOf, type Trace } from '@keen-gauge/core/demand/measured/downsample';
import { guessDelimiter, guessMapping } from '@keen-gauge/core/demand/measured/guess';
import type { LogMapping } from '@keen-gauge/core/demand/measured/mapping';
import { logDays, type LogDay } from '@keen-gauge/core/demand/measured/log-days';
import {
  logDoubts,
  otherReadings,
  outcomeOf,
  type LogDoubts,
} from '@keen-gauge/core/demand/measured/possible-readings';
import { LogReader } from '@keen-gauge/core/demand/measured/read-log';
import { sheetsOf, sheetWithLog, type Sheet } from '@keen-gauge/core/demand/measured/workbook';
import type { LogSeries } from '@keen-gauge/core/demand/measured/series';
import type { Rules } from '@keen-gauge/core/rules/rules';
import type { Phase } from '@keen-gauge/core/survey/words/words';
import { expose } from 'comlink';
import Papa from 'papaparse';
import readWorkbook from 'read-excel-file/web-worker';

/** The first rows of a file, and how it might be read. */
export interface Preview {
  readonly rows: readonly (readonly string[])[];
  readonly mapping: LogMapping | null;
  readonly doubts: readonly string[];
  /** Of its first rows, digested: files of one logger have one shape. */
  readonly shape: string;
  /** Of a workbook: its sheets, which of them this is, and the shape of the one taken where nobody chooses. */
  readonly sheets?: readonly string[];
  readonly sheet?: string;
  readonly usualShape?: string;
}

const MOST_BYTES = 200_000_000;
const MOST_COLUMNS = 2000;
const PREVIEW_ROWS = 400;
const PREVIEW_BYTES = 256 * 1024;

let file: Blob | null = null;
let workbook: string[][] | null = null;
let firstRows: string[][] = [];
let series: LogSeries | null = null;

/** Opens a file, or a sheet of a workbook by its name; without one the first that holds a log. */
async function open(chosen: Blob, sheetName?: string): Promise<Preview> {
  if (chosen.size === 0) throw new Error('The file is empty.');
  if (chosen.size > MOST_BYTES)
    throw new Error('The file is larger than 200 MB. Export a shorter span, or fewer columns.');
  [file, workbook, series] = [chosen, null, null];
  const head = new Uint8Array(await chosen.slice(0, PREVIEW_BYTES).arrayBuffer());
  if (head[0] === 0x50 && head[1] === 0x4b) {
    const sheets = await readSheets(chosen);
    const usual = sheetWithLog(sheets);
    const sheet = sheetWithLog(sheets, sheetName);
    workbook = sheet?.rows ?? [];
    const usualShape = (await preview(usual?.rows.slice(0, PREVIEW_ROWS) ?? [])).shape;
    const made = await preview(workbook.slice(0, PREVIEW_ROWS));
    return { ...made, sheets: sheets.map(({ name }) => name), sheet: sheet?.name ?? '', usualShape };
  }
  if (head.includes(0)) throw new Error('This is neither text nor a workbook: CSV, TSV and XLSX are read.');
  const text = new TextDecoder().decode(head).replace(/^\uFEFF/, '');
  const delimiter = guessDelimiter(text);
  const whole = head.length < PREVIEW_BYTES ? text : text.slice(0, text.lastIndexOf('\n'));
  const { data } = Papa.parse<string[]>(whole, { delimiter, preview: PREVIEW_ROWS });
  const made = await preview(data);
  return made.mapping ? { ...made, mapping: { ...made.mapping, delimiter } } : made;
}

async function preview(rows: string[][]): Promise<Preview> {
  if (rows.some((row) => row.length > MOST_COLUMNS)) throw new Error(`A row has more than ${MOST_COLUMNS} columns.`);
  firstRows = rows;
  const guess = guessMapping(rows);
  const top = rows.slice(0, guess?.mapping.skipRows ?? 3).map((row) => row.join('\u001f'));
  const digest = await crypto.subtle.digest(
    'SHA-256',
    new TextEncoder().encode(`${top.join('\u001e')} ${rows.at(-1)?.length ?? 0}`),
  );
  const shape = [...new Uint8Array(digest)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  return { rows: rows.slice(0, 60), mapping: guess?.mapping ?? null, doubts: guess?.doubts ?? [], shape };
}

async function readSheets(chosen: Blob): Promise<Sheet[]> {
  try {
    // The package's types say a cell may be the class of dates where it is a date.
    return sheetsOf((await readWorkbook(chosen)) as Parameters<typeof sheetsOf>[0]);
  } catch {
    throw new Error('This workbook cannot be read. Save it again as XLSX, or as CSV.');
  }
}

/** What a log comes to, and what is doubtful of how it was read. */
export interface LogReport extends LogDoubts {
  readonly analysis: LogAnalysis;
}

async function analyse(mapping: LogMapping, rules: Rules, progress: (done: number) => void): Promise<LogReport> {
  series = await read(mapping, rules, progress);
  const analysis = analyseLog(series);
  const taken = outcomeOf('as it was read', analysis, rules);
  const others = [];
  for (const other of otherReadings(mapping, firstRows, taken)) {
    const otherwise = analyseLog(await read(other.mapping, rules, () => undefined));
    others.push({ doubt: other.doubt, outcome: outcomeOf(other.says, otherwise, rules) });
  }
  if (Object.keys(analysis.phases).length === 0 && analysis.faults.impossible.count === 0)
    throw new Error(
      'No reading can be used as it is read now. Look at the unit, the columns and how times are written.',
    );
  return { analysis, ...logDoubts(taken, others, analysis, mapping, rules) };
}

async function read(mapping: LogMapping, rules: Rules, progress: (done: number) => void): Promise<LogSeries> {
  if (!file) throw new Error('No file is open.');
  const reader = new LogReader(mapping, rules.nominalVoltageV.value);
  if (workbook) reader.add(workbook);
  else await readText(file, reader, mapping, progress);
  progress(0.95);
  return reader.finish();
}

function readText(text: Blob, reader: LogReader, mapping: LogMapping, progress: (done: number) => void): Promise<void> {
  return new Promise((resolve, reject) => {
    let read = 0;
    Papa.parse<string[]>(text as File, {
      delimiter: mapping.delimiter ?? ',',
      chunkSize: 1 << 20,
      chunk: ({ data, meta }) => {
        reader.add(data);
        read = meta.cursor;
        progress(Math.min(0.9, (0.9 * read) / text.size));
      },
      complete: () => {
        resolve();
      },
      error: reject,
    });
  });
}

/** A stretch of one phase brought down to what a screen shows. */
function trace(phase: Phase, from: number, to: number, steps: number): Trace | null {
  const values = series?.amperes[phase];
  return series && values ? traceOf(series.times, values, from, to, steps) : null;
}

/** The whole days of what was analysed, on one line. */
function days(phase: Phase): LogDay[] {
  return series ? logDays(series, phase) : [];
}

const api = { open, analyse, trace, days };
export type LogWorker = typeof api;

expose(api);
