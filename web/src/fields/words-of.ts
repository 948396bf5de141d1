import type { FieldPath } from '@keen-gauge/core/survey/schema/field-path';
import { CIRCUIT_WORDS } from './circuit-words';
import { EARTHING_WORDS } from './earthing-words';
import { EQUIPMENT_WORDS } from './equipment-words';
import type { FieldWords, WordsOf } from './field-words';
import { LOAD_WORDS } from './load-words';
import { PLACE_WORDS } from './place-words';
import { SUPPLY_WORDS } from './supply-words';
import { WORKS_WORDS } from './works-words';

const ALL: WordsOf = {
  ...PLACE_WORDS,
  ...SUPPLY_WORDS,
  ...EARTHING_WORDS,
  ...EQUIPMENT_WORDS,
  ...CIRCUIT_WORDS,
  ...LOAD_WORDS,
  ...WORKS_WORDS,
};

/** A field’s words; undefined for one that is drawn in a way of its own. */
export function wordsOf(field: FieldPath): FieldWords | undefined {
  return ALL[field];
}
