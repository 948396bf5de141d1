import type { WordsOf } from './field-words';

/** Loads there already, and what sends power back. */
export const LOAD_WORDS: WordsOf = {
  'loads.label': { label: 'Name' },
  'generation.label': { label: 'Name' },
};
