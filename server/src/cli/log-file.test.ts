import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buffer } from 'node:stream/consumers';
import { ZipFile } from 'yazl';
import { DIALECTS, logLines, type Dialect } from '../../../standins/logger';
import { analyseFile } from './log-file';

const folder = mkdtempSync(join(tmpdir(), 'keen-gauge-log-'));

function written(dialect: Dialect, days = 9, everyS = 60): string {
  const path = join(folder, `${dialect}-${days}.csv`);
  writeFileSync(path, [...logLines({ dialect, days, seed: 4, from: '2026-03-25', everyS })].join('\n'));
  return path;
}

describe('a log on the command line', () => {
  it.each(DIALECTS)('%s is read as it was written, clock change and all', async (dialect) => {
    const { mapping, analysis } = await analyseFile(written(dialect), gbDefault);
    const perDay = mapping.layout === 'wide' ? 48 : 1440;
    expect(analysis.samples).toBeGreaterThan(perDay * 9 * 0.99);
    // The local days of March's change-over are whole all the same; the first and last may be cut by an hour.
    expect(analysis.days).toBeGreaterThanOrEqual(8);
    expect(analysis.coverage).toBeGreaterThan(0.98);
    const phase = analysis.phases.L1;
    // The house takes 0.9 A at least, and a shower of 37 A on most mornings.
    expect(phase?.baseA).toBeGreaterThan(0.8);
    expect(phase?.baseA).toBeLessThan(2);
    expect(phase?.peakA).toBeGreaterThan(dialect === 'half-hourly' ? 12 : 37);
    expect(phase?.peakA).toBeLessThan(100);
  });

  it('means the same in every dialect of one house: half-hour means agree', async () => {
    const mean = async (dialect: Dialect): Promise<number> =>
      (await analyseFile(written(dialect), gbDefault)).analysis.phases.L1?.mean30A ?? NaN;
    const plain = await mean('plain');
    expect(await mean('comma')).toBeCloseTo(plain, 1);
    expect(Math.abs((await mean('nasty')) - plain)).toBeLessThan(1.5);
    // Half hours on the half hour can only be lower than the highest of any half hour.
    expect(await mean('half-hourly')).toBeLessThanOrEqual(plain + 0.05);
  });

  it('counts the nasty one’s faults', async () => {
    const { faults } = (await analyseFile(written('nasty'), gbDefault)).analysis;
    for (const count of [faults.noTime, faults.noNumber, faults.negative]) expect(count.count).toBeGreaterThan(3);
    expect(faults.repeated.count + faults.backward.count).toBeGreaterThan(3);
    expect(faults.gaps).toBeGreaterThan(3);
  });

  it.each<[string, Buffer, RegExp]>([
    ['a picture', Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 1]), /neither text nor a workbook/],
    ['words', Buffer.from('the cat,sat\non the,mat\n'), /no column of times/],
    ['a workbook that is none', Buffer.from('PK\x03\x04 and rubbish'), /workbook that cannot be read/],
    ['dates that never parse', Buffer.from('when,A\nsoon,1\nlater,2\n'), /no column of times/],
    ['nothing', Buffer.from(''), /no column of times/],
  ])('refuses %s in a sentence', async (what, bytes, says) => {
    const path = join(folder, `bad-${what.replaceAll(' ', '-')}`);
    writeFileSync(path, bytes);
    await expect(analyseFile(path, gbDefault)).rejects.toThrow(says);
  });

  it('is read from a workbook as well', async () => {
    const zip = new ZipFile();
    const cell = (value: string | number, at: string): string =>
      typeof value === 'number'
        ? `<c r="${at}"><v>${value}</v></c>`
        : `<c r="${at}" t="inlineStr"><is><t>${value}</t></is></c>`;
    // Spreadsheet days: 46027 is 5 January 2026.
    const data = [
      ['when', 'current A'],
      ...Array.from({ length: 600 }, (_, at) => [46_027 + at / 1440, 5 + (at % 10)]),
    ];
    const sheet = data
      .map(
        (row, at) =>
          `<row r="${at + 1}">${row.map((value, column) => cell(value, `${'AB'[column] ?? ''}${at + 1}`)).join('')}</row>`,
      )
      .join('');
    const main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
    const links = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
    const parts: Readonly<Record<string, string>> = {
      '[Content_Types].xml': '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"/>',
      'xl/workbook.xml': `<workbook xmlns="${main}" xmlns:r="${links}"><sheets><sheet name="S" sheetId="1" r:id="rId1"/></sheets></workbook>`,
      'xl/_rels/workbook.xml.rels': `<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="${links}/worksheet" Target="worksheets/sheet1.xml"/></Relationships>`,
      'xl/worksheets/sheet1.xml': `<worksheet xmlns="${main}"><sheetData>${sheet}</sheetData></worksheet>`,
    };
    for (const [name, xml] of Object.entries(parts))
      zip.addBuffer(Buffer.from(`<?xml version="1.0" encoding="UTF-8"?>${xml}`), name);
    zip.end();
    const path = join(folder, 'book.xlsx');
    writeFileSync(path, await buffer(zip.outputStream));
    const { mapping, analysis } = await analyseFile(path, gbDefault);
    expect(mapping).toMatchObject({ timeFormat: 'spreadsheet', skipRows: 1, unit: 'A' });
    expect(analysis.phases.L1?.peakA).toBe(14);
    expect(analysis.samples).toBe(600);
  });

  it('of nought all through is told as what it is', async () => {
    const path = join(folder, 'nought.csv');
    const minutes = Array.from({ length: 60 }, (_, at) => `2026-01-05T00:${String(at).padStart(2, '0')}:00Z,0`);
    writeFileSync(path, ['time,A', ...minutes].join('\n'));
    expect((await analyseFile(path, gbDefault)).analysis.phases.L1?.peakA).toBe(0);
  });
});
