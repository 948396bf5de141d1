import { guessMapping } from './guess';

/** A cell as the workbook packages give it. */
export type WorkbookCell = string | number | boolean | Date | null;

/** A sheet by its name, its cells as text. */
export interface Sheet {
  readonly name: string;
  readonly rows: string[][];
}

/**
 * A cell as the text a log is read from. A workbook counts days as fractions that no clock hits exactly: dates are rounded to the second, which
 * would else fall a moment early. A time of day alone is a moment of the day the count begins at, and is written as the clock shows it.
 */
export function cellText(cell: WorkbookCell): string {
  if (!(cell instanceof Date)) return String(cell ?? '');
  if (Number.isNaN(cell.getTime())) return '';
  const text = new Date(Math.round(cell.getTime() / 1000) * 1000).toISOString();
  // Both counts of days, from 1900 and from 1904, begin before any log does.
  return Number(text.slice(0, 4)) < 1905 ? text.slice(11, 19) : text.slice(0, 19);
}

export function sheetsOf(
  workbook: readonly { readonly sheet: string; readonly data: readonly (readonly WorkbookCell[])[] }[],
): Sheet[] {
  return workbook.map(({ sheet, data }) => ({ name: sheet, rows: data.map((row) => row.map(cellText)) }));
}

const PREVIEW_ROWS = 400;

/** The sheet asked for by its name; without one the first that holds a log, or else the first of all. Undefined where there is none. */
export function sheetWithLog(sheets: readonly Sheet[], name?: string): Sheet | undefined {
  const named = name === undefined ? undefined : sheets.find((each) => each.name === name);
  return named ?? sheets.find(({ rows }) => guessMapping(rows.slice(0, PREVIEW_ROWS)) !== null) ?? sheets[0];
}
