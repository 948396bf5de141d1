import type { Place } from '@keen-gauge/core/survey/schema/field-path';
import { fieldAt, specAt } from '@keen-gauge/core/survey/schema/survey-schema';
import { wordsOf } from './words-of';

const ANSWER_WORDS: Readonly<Record<string, string>> = { yes: 'Yes', no: 'No', unknown: 'Not known' };

/** What the field at a place is called. */
export function fieldLabel(place: Place): string {
  const field = fieldAt(place);
  return (field && wordsOf(field)?.label) ?? place.at(-1) ?? '';
}

/** What is recorded at a place, as people read it: the word chosen, the figure with its unit; “Not recorded” where nothing is. */
export function valueWords(place: Place, value: unknown): string {
  if (value === undefined || value === '') return 'Not recorded';
  const field = fieldAt(place);
  const spec = specAt(place);
  if (typeof value === 'object') return 'Recorded';
  const text = `${value as string | number | boolean}`;
  const option = (field && wordsOf(field)?.options)?.find((each) => each.value === text);
  if (option) return option.label;
  if (typeof value === 'boolean') return value ? 'Yes' : 'No';
  if (typeof value === 'number') return spec?.kind === 'number' && spec.unit !== '' ? `${text} ${spec.unit}` : text;
  return ANSWER_WORDS[text] ?? text;
}
