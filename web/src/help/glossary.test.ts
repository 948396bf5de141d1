import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { termsIn, termsWith } from './glossary';

const terms = termsIn(readFileSync(join(__dirname, '../../../docs/wording.md'), 'utf8'));

describe('the glossary', () => {
  it('is the table of words, each with what it means', () => {
    expect(terms.length).toBeGreaterThan(15);
    expect(terms.find(({ term }) => term === 'cut-out')).toMatchObject({ alsoCalled: ['service head', 'main fuse'] });
    expect(terms.filter(({ meaning }) => meaning === '')).toEqual([]);
  });

  it.each([
    ['service head', 'cut-out'],
    ['dynamic load management', 'limit and clamp'],
    ['MD', 'maximum demand'],
    ['spare capacity', 'headroom'],
    ['Connect notify', 'Fit, then notify'],
  ])('“%s” finds %s', (search, found) => {
    expect(termsWith(terms, search).map(({ term }) => term)).toContain(found);
  });

  it('of a word nobody uses there is none', () => {
    expect(termsWith(terms, 'flux capacitor')).toEqual([]);
  });
});
