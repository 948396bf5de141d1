import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { faces, runs } from './fonts';

const CORE = join(__dirname, '../../../../core/src');

describe('setting text', () => {
  it('keeps to one font where it can', () => {
    expect(runs('Cut-out fuse 80 A − 0.5 × 3 ÷ 2', 'regular')).toHaveLength(1);
  });
  it('takes ohms and other alphabets from fonts that have them, spaces going with what stands before', () => {
    const made = runs('0.35 Ω at Żółw, Дом', 'regular');
    expect(made.map(({ text }) => text).join('')).toBe('0.35 Ω at Żółw, Дом');
    expect(made.find(({ text }) => text.startsWith('Ω'))?.font).toBe('noto-sans-greek-400');
    expect(made.find(({ text }) => text.includes('Дом'))?.font).toBe('noto-sans-cyrillic-400');
    expect(made.some(({ font }) => font === 'atkinson-hyperlegible-next-latin-ext-400')).toBe(true);
  });
  it('has every sign that the documents are written with, in every face', () => {
    const source = readdirSync(CORE, { recursive: true, encoding: 'utf8' })
      .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
      .map((name) => readFileSync(join(CORE, name), 'utf8'))
      .join('');
    const signs = [...new Set(source.match(/[^\x20-\x7e\s]/gu) ?? [])];
    expect(signs).toEqual(expect.arrayContaining(['√', '→', '≥', '×', 'Ω']));
    for (const face of ['regular', 'bold', 'mono'] as const)
      expect(signs.filter((sign) => !faces()[face].some(({ has }) => has(sign.codePointAt(0) ?? 0)))).toEqual([]);
  });
  it('keeps a character nobody has rather than drop it', () => {
    expect(runs('山', 'bold')).toEqual([{ font: 'atkinson-hyperlegible-next-latin-700', text: '山' }]);
  });
});
