import type { Value } from '@keen-gauge/core/record/changes';
import type { Place, TextPlace } from '@keen-gauge/core/survey/schema/field-path';
import { specAt } from '@keen-gauge/core/survey/schema/survey-schema';
import type { Answer } from '@keen-gauge/core/survey/words/words';
import { AnswerRow } from '../kit/AnswerRow';
import { Choice, type ChoiceOption } from '../kit/Choice';
import { lazyPart } from '../kit/lazy-part';
import { NumberInput, type NumberInputProps } from '../kit/NumberInput';
import { Select } from '../kit/Select';
import { TextInput, type TextInputProps } from '../kit/TextInput';
import { useStore } from '../survey/SurveyContext';
import { useFault, useField } from '../survey/use-field';
import { valueWords } from '../fields/value-words';
import { dayWords } from '../calendar/day-words';
import { AsLine } from './AsLine';

// With a calendar in it, which most stations have no day for.
const DayInput = lazyPart(() => import('../kit/DayInput'));

/** Controls bound to a field of the survey by its place, which the compiler checks; unit, bounds and length are the schema's. */

/** Marks where a field of the survey is answered, so that a link can lead to it; takes no room of its own. */
export function At({ path, children }: { readonly path: readonly string[]; readonly children: React.ReactNode }) {
  return (
    <div data-field={path.join('.')} style={{ display: 'contents' }}>
      {children}
    </div>
  );
}

export function BoundText({
  path,
  few = false,
  ...rest
}: { readonly path: TextPlace; readonly few?: boolean } & Omit<TextInputProps, 'value' | 'onChange' | 'maxLength'>) {
  const store = useStore();
  const refused = useFault(path);
  const value: unknown = useField(path);
  const spec = specAt(path);
  return (
    <AsLine
      few={few}
      field={path.join('.')}
      label={rest.label}
      says={typeof value === 'string' && refused === undefined && rest.fault === undefined ? value : undefined}
    >
      <TextInput
        {...rest}
        {...(spec?.kind === 'text' ? { maxLength: spec.longest } : {})}
        fault={rest.fault ?? refused}
        value={typeof value === 'string' ? value : ''}
        onChange={(next) => {
          store.set(path, next === '' ? undefined : next);
        }}
      />
    </AsLine>
  );
}

/** A day, typed day first or taken from a calendar. */
export function BoundDay({
  path,
  label,
  help,
  few = false,
}: {
  readonly path: TextPlace;
  readonly label: string;
  readonly help?: string;
  readonly few?: boolean;
}) {
  const store = useStore();
  const refused = useFault(path);
  const value: unknown = useField(path);
  return (
    <AsLine
      few={few}
      field={path.join('.')}
      label={label}
      says={typeof value === 'string' && refused === undefined ? dayWords(value) : undefined}
    >
      <DayInput
        label={label}
        help={help}
        fault={refused}
        value={typeof value === 'string' ? value : ''}
        onChange={(day) => {
          store.set(path, day === '' ? undefined : day);
        }}
      />
    </AsLine>
  );
}

export function BoundNumber({
  path,
  few = false,
  ...rest
}: { readonly path: Place<number>; readonly few?: boolean } & Omit<
  NumberInputProps,
  'value' | 'onChange' | 'unit' | 'least' | 'most' | 'whole'
>) {
  const store = useStore();
  const refused = useFault(path);
  const value: unknown = useField(path);
  const spec = specAt(path);
  if (spec?.kind !== 'number') throw new Error(`${path.join('.')} holds no number`);
  const { unit, least, most, whole } = spec;
  return (
    <AsLine
      few={few}
      field={path.join('.')}
      label={rest.label}
      says={typeof value === 'number' && refused === undefined ? valueWords(path, value) : undefined}
    >
      <NumberInput
        {...rest}
        unit={unit}
        least={least}
        most={most}
        whole={whole}
        fault={refused}
        value={typeof value === 'number' ? value : undefined}
        onChange={(next) => {
          store.set(path, next);
        }}
      />
    </AsLine>
  );
}

export function BoundChoice<V extends string>({
  path,
  few = false,
  options,
  ...rest
}: {
  readonly few?: boolean;
  readonly path: Place<string>;
  readonly label: string;
  readonly help?: string;
  readonly tile?: string;
  readonly hideLabel?: boolean;
  readonly options: readonly ChoiceOption<V>[];
}) {
  const store = useStore();
  const value: unknown = useField(path);
  return (
    <AsLine
      few={few}
      field={path.join('.')}
      label={rest.label}
      says={options.find((option) => option.value === value)?.label}
    >
      <Choice
        {...rest}
        options={options}
        value={options.find((option) => option.value === value)?.value}
        onChange={(next) => {
          store.set(path, next);
        }}
      />
    </AsLine>
  );
}

/** One of many, from a list that opens. */
export function BoundSelect<V extends string>({
  path,
  few = false,
  label,
  options,
}: {
  readonly few?: boolean;
  readonly path: Place<string>;
  readonly label: string;
  readonly options: readonly { readonly value: V; readonly label: string }[];
}) {
  const store = useStore();
  const value: unknown = useField(path);
  return (
    <AsLine
      few={few}
      field={path.join('.')}
      label={label}
      says={options.find((option) => option.value === value)?.label}
    >
      <Select
        label={label}
        value={options.find((option) => option.value === value)?.value}
        options={options}
        onChange={(next) => {
          store.set(path, next);
        }}
      />
    </AsLine>
  );
}

/** The answers of a question that is answered yes or no. */
export const YES_NO: readonly { readonly value: Answer; readonly label: string }[] = [
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' },
  { value: 'unknown', label: 'Not known' },
];

/** Yes, no or not known, in one line with its question. */
export function BoundAnswer({
  path,
  few = false,
  label,
  help,
}: {
  readonly few?: boolean;
  readonly path: Place<Answer>;
  readonly label: string;
  readonly help?: string;
}) {
  const store = useStore();
  const value: unknown = useField(path);
  return (
    <AsLine
      few={few}
      field={path.join('.')}
      label={label}
      says={YES_NO.find((option) => option.value === value)?.label}
    >
      <AnswerRow
        label={label}
        {...(help === undefined ? {} : { help })}
        value={YES_NO.find((option) => option.value === value)?.value}
        options={YES_NO}
        onChange={(next) => {
          store.set(path, next);
        }}
      />
    </AsLine>
  );
}

/** A choice that stands for something else than a word in the survey, such as a count or true and false. */
export function BoundCode<T extends number | boolean>({
  path,
  few = false,
  label,
  codes,
  help,
  tile = '10.5rem',
  hideLabel = false,
}: {
  readonly few?: boolean;
  readonly path: Place<number | boolean>;
  readonly label: string;
  readonly codes: readonly { readonly value: T; readonly label: string; readonly note?: string }[];
  readonly help?: string;
  readonly tile?: string;
  readonly hideLabel?: boolean;
}) {
  const store = useStore();
  const value: unknown = useField(path);
  return (
    <AsLine few={few} field={path.join('.')} label={label} says={codes.find((code) => code.value === value)?.label}>
      <Choice
        label={label}
        tile={tile}
        hideLabel={hideLabel}
        {...(help === undefined ? {} : { help })}
        value={codes.find((code) => code.value === value)?.value.toString()}
        options={codes.map((code) => ({ ...code, value: String(code.value) }))}
        onChange={(next) => {
          store.set(path, codes.find((code) => String(code.value) === next)?.value);
        }}
      />
    </AsLine>
  );
}

/** Sets a field of a member of a list, which is added where it is not there yet. */
export function useSetMember<const P extends Place<readonly { id: string }[]>>(
  list: P,
  id: string,
): (field: string, value: Value | undefined) => void {
  const store = useStore();
  return (field, value) => {
    store.setMember(list, id, field, value);
  };
}

/** A short id of its own for something added to the survey. */
export function freshId(kind: string): string {
  return `${kind}-${crypto.randomUUID().slice(0, 8)}`;
}
