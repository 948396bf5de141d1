/** One word of the trade as Keen Gauge uses it, and what else people call it. */
export interface Term {
  readonly term: string;
  readonly meaning: string;
  readonly alsoCalled: readonly string[];
}

/** The terms of the table in docs/wording.md, which is where they are kept. */
export function termsIn(markdown: string): Term[] {
  return markdown
    .split('\n')
    .filter((line) => line.startsWith('| ') && !line.startsWith('| ---'))
    .slice(1)
    .map((line) => line.split('|').map((cell) => cell.trim()))
    .filter(([, , meaning = '']) => meaning !== '')
    .map(([, term = '', meaning = '', also = '']) => ({
      term,
      meaning,
      alsoCalled: also.split(',').flatMap((each) => (each.trim() === '' ? [] : [each.trim()])),
    }));
}

/** The terms that have every word, in their name, their meaning or what else they are called. */
export function termsWith(terms: readonly Term[], search: string): Term[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  return terms.filter(({ term, meaning, alsoCalled }) => {
    const says = [term, meaning, ...alsoCalled].join(' ').toLowerCase();
    return words.every((word) => says.includes(word));
  });
}
