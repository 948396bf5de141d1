import type { Place } from '@keen-gauge/core/survey/schema/field-path';
import { fieldAt, specAt } from '@keen-gauge/core/survey/schema/survey-schema';
import type { FieldProps } from '../fields/Field';
import { wordsOf } from '../fields/words-of';

/** A field as it stands on a card: keys for figures, tiles instead of lists, and no pictures, so that all of it is in view. */
export function onCard(
  place: Place,
): Pick<FieldProps, 'pad' | 'list' | 'options' | 'tile' | 'lines' | 'hideLabel'> & { readonly help?: '' } {
  const field = fieldAt(place);
  const { options } = (field && wordsOf(field)) ?? {};
  if (!options) return { pad: specAt(place)?.kind === 'number', lines: false, help: '' };
  const bare = options.map(({ picture: _picture, ...option }) => option);
  const notes = options.some(({ note }) => note !== undefined);
  return { list: false, options: bare, tile: notes ? '14rem' : '8rem', hideLabel: true, help: '' };
}
