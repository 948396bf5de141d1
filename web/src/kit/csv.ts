/** Tables to and from files of comma-separated values, by the library for them, fetched when one is wanted. */
import { saveFile } from './save-file';

/** Hands a table to the person as a file. What a spreadsheet would take for a formula is kept as text. */
export async function saveCsv(name: string, rows: readonly (readonly string[])[]): Promise<void> {
  const { default: Papa } = await import('papaparse');
  const text = Papa.unparse(rows as string[][], { escapeFormulae: true });
  saveFile(name, new Blob([`\uFEFF${text}`], { type: 'text/csv' }));
}

/** The rows of a file; the mark that spreadsheets put at its head is none of its first cell. */
export async function readCsv(file: Blob): Promise<string[][]> {
  const { default: Papa } = await import('papaparse');
  const { data } = Papa.parse<string[]>((await file.text()).replace(/^\uFEFF/, ''), { skipEmptyLines: false });
  // A cell that was kept from being a formula is what it was.
  return data.map((row) => row.map((cell) => cell.replace(/^'(?=[=+\-@\t\r])/, '')));
}
