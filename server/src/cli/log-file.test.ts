import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
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
    const { mapping, analysis } = await analyseFile(written(dialect), 230);
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
      (await analyseFile(written(dialect), 230)).analysis.phases.L1?.mean30A ?? NaN;
    const plain = await mean('plain');
    expect(await mean('comma')).toBeCloseTo(plain, 1);
    expect(Math.abs((await mean('nasty')) - plain)).toBeLessThan(1.5);
    // Half hours on the half hour can only be lower than the highest of any half hour.
    expect(await mean('half-hourly')).toBeLessThanOrEqual(plain + 0.05);
  });

  it('counts the nasty one’s faults', async () => {
    const { faults } = (await analyseFile(written('nasty'), 230)).analysis;
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
    await expect(analyseFile(path, 230)).rejects.toThrow(says);
  });

  it('of nought all through is told as what it is', async () => {
    const path = join(folder, 'nought.csv');
    const minutes = Array.from({ length: 60 }, (_, at) => `2026-01-05T00:${String(at).padStart(2, '0')}:00Z,0`);
    writeFileSync(path, ['time,A', ...minutes].join('\n'));
    expect((await analyseFile(path, 230)).analysis.phases.L1?.peakA).toBe(0);
  });
});
