import { runs } from './fonts';

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
  it('keeps a character nobody has rather than drop it', () => {
    expect(runs('山', 'bold')).toEqual([{ font: 'atkinson-hyperlegible-next-latin-700', text: '山' }]);
  });
});
