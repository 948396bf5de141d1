import { fieldAt, specAt } from '@keen-gauge/core/survey/schema/survey-schema';
import type { Place, TextPlace } from '@keen-gauge/core/survey/schema/field-path';
import type { Answer } from '@keen-gauge/core/survey/words/words';
import { BoundAnswer, BoundChoice, BoundCode, BoundDay, BoundNumber, BoundSelect, BoundText } from '../stations/bound';
import type { FieldWords } from './field-words';
import { wordsOf } from './words-of';

export interface FieldProps extends Partial<FieldWords> {
  readonly path: Place;
  readonly fault?: string | undefined;
  /** Numbers with keys for a thumb. */
  readonly pad?: boolean;
  /** The question stands above already. */
  readonly hideLabel?: boolean;
}

/** A field of the survey with its usual control: what it holds says which, its words say what it is called. What is given here goes before those. */
export function Field({ path, fault, pad, hideLabel, ...over }: FieldProps) {
  const field = fieldAt(path);
  const spec = specAt(path);
  const words = field === undefined ? undefined : wordsOf(field);
  if (!spec || !(words ?? over.label)) throw new Error(`${path.join('.')} has no words`);
  const {
    label = '',
    help,
    options = [],
    usual,
    tile,
    list,
    lines,
    type,
    inputMode,
    few = false,
  } = { ...words, ...over };
  const told = { label, few, ...(help ? { help } : {}) };
  const tiled = { ...told, ...(tile ? { tile } : {}), ...(hideLabel ? { hideLabel } : {}) };
  switch (spec.kind) {
    case 'number':
      if (options.length === 0)
        return (
          <BoundNumber
            path={path as Place<number>}
            {...told}
            {...(usual === undefined ? {} : { usual })}
            {...(pad ? { pad } : {})}
          />
        );
      return <BoundCode path={path as Place<number>} {...tiled} codes={coded(options, Number)} />;
    case 'yes-no':
      return (
        <BoundCode
          path={path as Place<boolean>}
          {...tiled}
          codes={coded(options.length > 0 ? options : YES_NO, (value) => value === 'true')}
        />
      );
    case 'choice':
      if (options.length === 0) return <BoundAnswer path={path as Place<Answer>} {...told} />;
      // A number of a closed list, such as how many phases.
      if (typeof spec.choices[0] === 'number')
        return <BoundCode path={path as Place<number>} {...tiled} codes={coded(options, Number)} />;
      if (list) return <BoundSelect path={path as Place<string>} label={label} few={few} options={options} />;
      return <BoundChoice path={path as Place<string>} {...tiled} options={options} />;
    case 'day':
      return <BoundDay path={path as unknown as TextPlace} {...told} />;
    default:
      return (
        <BoundText
          path={path as unknown as TextPlace}
          {...told}
          {...(fault === undefined ? {} : { fault })}
          {...(lines === undefined ? {} : { lines })}
          {...(type ? { type } : {})}
          {...(inputMode ? { inputMode } : {})}
        />
      );
  }
}

const YES_NO = [
  { value: 'true', label: 'Yes' },
  { value: 'false', label: 'No' },
];

const coded = <T extends number | boolean>(
  options: NonNullable<FieldWords['options']>,
  code: (value: string) => T,
): { value: T; label: string; note?: string }[] =>
  options.map(({ value, label, note }) => ({ value: code(value), label, ...(note === undefined ? {} : { note }) }));
