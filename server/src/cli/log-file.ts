import { analyseLog, type LogAnalysis } from '@keen-gauge/core/demand/measured/analyse';
import { guessDelimiter, guessMapping } from '@keen-gauge/core/demand/measured/guess';
import type { LogMapping } from '@keen-gauge/core/demand/measured/mapping';
import {
  logDoubts,
  otherReadings,
  outcomeOf,
  type LogDoubts,
} from '@keen-gauge/core/demand/measured/possible-readings';
import { LogReader } from '@keen-gauge/core/demand/measured/read-log';
import { sheetsOf, sheetWithLog } from '@keen-gauge/core/demand/measured/workbook';
import type { Rules } from '@keen-gauge/core/rules/rules';
import { readFile } from 'node:fs/promises';
import Papa from 'papaparse';
import readWorkbook from 'read-excel-file/node';

/** A log as read on the command line: how it was read, what was doubtful about that, and what is in it. */
export interface LogReport extends LogDoubts {
  readonly mapping: LogMapping;
  readonly doubts: readonly string[];
  readonly analysis: LogAnalysis;
}

const PREVIEW_ROWS = 400;

/** Analyses the log in a file, read as guessed. Throws with a sentence where there is no log in it. */
export async function analyseFile(path: string, rules: Rules): Promise<LogReport> {
  const bytes = await readFile(path).catch((error: unknown) => {
    throw new Error(`cannot be read (${error instanceof Error && 'code' in error ? String(error.code) : 'error'})`);
  });
  return analyseBytes(bytes, rules);
}

/** The same for a file that is in hand already. */
export async function analyseBytes(bytes: Buffer, rules: Rules): Promise<LogReport> {
  const workbook = bytes.subarray(0, 2).toString('latin1') === 'PK';
  const rows = workbook ? await workbookRows(bytes) : textRows(bytes);
  const guess = guessMapping(rows.slice(0, PREVIEW_ROWS));
  if (!guess) throw new Error('has no column of times beside a column of numbers');
  const read = (mapping: LogMapping): LogAnalysis => {
    const reader = new LogReader(mapping, rules.nominalVoltageV.value);
    reader.add(rows);
    return analyseLog(reader.finish());
  };
  const analysis = read(guess.mapping);
  if (Object.keys(analysis.phases).length === 0 && analysis.faults.impossible.count === 0)
    throw new Error('holds no reading that can be used');
  const taken = outcomeOf('as it was read', analysis, rules);
  const others = otherReadings(guess.mapping, rows, taken).map(({ doubt, says, mapping }) => ({
    doubt,
    outcome: outcomeOf(says, read(mapping), rules),
  }));
  return { ...guess, ...logDoubts(taken, others, analysis, guess.mapping, rules), analysis };
}

function textRows(bytes: Buffer): string[][] {
  if (bytes.subarray(0, 4096).includes(0)) throw new Error('is neither text nor a workbook');
  const text = bytes.toString('utf8').replace(/^\uFEFF/, '');
  return Papa.parse<string[]>(text, { delimiter: guessDelimiter(text.slice(0, 65_536)) }).data;
}

async function workbookRows(bytes: Buffer): Promise<string[][]> {
  const sheets = await readWorkbook(bytes).catch(() => {
    throw new Error('is a workbook that cannot be read');
  });
  // The package's types say a cell may be the class of dates where it is a date.
  return sheetWithLog(sheetsOf(sheets as Parameters<typeof sheetsOf>[0]))?.rows ?? [];
}
