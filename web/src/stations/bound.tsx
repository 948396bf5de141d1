import { jsonPath, valueAt, type Path, type Value } from '@keen-gauge/core/record/changes';
import type { Survey } from '@keen-gauge/core/survey/survey';
import type { Answer } from '@keen-gauge/core/survey/words/words';
import { AnswerRow } from '../kit/AnswerRow';
import { Choice, type ChoiceOption } from '../kit/Choice';
import { NumberInput, type NumberInputProps } from '../kit/NumberInput';
import { Select } from '../kit/Select';
import { TextInput, type TextInputProps } from '../kit/TextInput';
import { useSet, useSurvey } from '../survey/SurveyContext';

/** Controls bound to a field of the survey by its path. */

/** Marks where a field of the survey is answered, so that a link can lead to it; takes no room of its own. */
export function At({ path, children }: { readonly path: Path; readonly children: React.ReactNode }) {
  return (
    <div data-field={path.join('.')} style={{ display: 'contents' }}>
      {children}
    </div>
  );
}

/** What the server found wrong with the field at a path, in a sentence. */
function useFault(path: Path): string | undefined {
  const { survey, state } = useSurvey();
  const at = jsonPath(survey as unknown as Value, path);
  const found = state.faults.find((fault) => fault.path === at);
  return found && `It ${found.wrong}; ${found.expected} is expected.`;
}

function valueOf(survey: Survey, path: Path): Value | undefined {
  return valueAt(survey as unknown as Value, path);
}

export function BoundText({ path, ...rest }: { readonly path: Path } & Omit<TextInputProps, 'value' | 'onChange'>) {
  const { survey } = useSurvey();
  const set = useSet();
  const refused = useFault(path);
  const value = valueOf(survey, path);
  return (
    <At path={path}>
      <TextInput
        {...rest}
        fault={rest.fault ?? refused}
        value={typeof value === 'string' ? value : ''}
        onChange={(next) => {
          set(path, next);
        }}
      />
    </At>
  );
}

export function BoundNumber({ path, ...rest }: { readonly path: Path } & Omit<NumberInputProps, 'value' | 'onChange'>) {
  const { survey } = useSurvey();
  const set = useSet();
  const refused = useFault(path);
  const value = valueOf(survey, path);
  return (
    <At path={path}>
      <NumberInput
        {...rest}
        fault={refused}
        value={typeof value === 'number' ? value : undefined}
        onChange={(next) => {
          set(path, next);
        }}
      />
    </At>
  );
}

export function BoundChoice<V extends string>({
  path,
  options,
  ...rest
}: {
  readonly path: Path;
  readonly label: string;
  readonly help?: string;
  readonly tile?: string;
  readonly options: readonly ChoiceOption<V>[];
}) {
  const { survey } = useSurvey();
  const set = useSet();
  const value = valueOf(survey, path);
  return (
    <At path={path}>
      <Choice
        {...rest}
        options={options}
        value={options.find((option) => option.value === value)?.value}
        onChange={(next) => {
          set(path, next);
        }}
      />
    </At>
  );
}

/** One of many, from a list that opens. */
export function BoundSelect<V extends string>({
  path,
  label,
  options,
}: {
  readonly path: Path;
  readonly label: string;
  readonly options: readonly { readonly value: V; readonly label: string }[];
}) {
  const { survey } = useSurvey();
  const set = useSet();
  const value = valueOf(survey, path);
  return (
    <At path={path}>
      <Select
        label={label}
        value={options.find((option) => option.value === value)?.value}
        options={options}
        onChange={(next) => {
          set(path, next);
        }}
      />
    </At>
  );
}

const YES_NO: readonly { readonly value: Answer; readonly label: string }[] = [
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' },
  { value: 'unknown', label: 'Not known' },
];

/** Yes, no or not known, in one line with its question. */
export function BoundAnswer({
  path,
  label,
  help,
}: {
  readonly path: Path;
  readonly label: string;
  readonly help?: string;
}) {
  const { survey } = useSurvey();
  const set = useSet();
  const value = valueOf(survey, path);
  return (
    <At path={path}>
      <AnswerRow
        label={label}
        {...(help === undefined ? {} : { help })}
        value={YES_NO.find((option) => option.value === value)?.value}
        options={YES_NO}
        onChange={(next) => {
          set(path, next);
        }}
      />
    </At>
  );
}

/** A choice that stands for something else than a word in the survey, such as a count or true and false. */
export function BoundCode<T extends number | boolean>({
  path,
  label,
  codes,
  help,
  tile = '10.5rem',
}: {
  readonly path: Path;
  readonly label: string;
  readonly codes: readonly { readonly value: T; readonly label: string; readonly note?: string }[];
  readonly help?: string;
  readonly tile?: string;
}) {
  const { survey } = useSurvey();
  const set = useSet();
  const value = valueOf(survey, path);
  return (
    <At path={path}>
      <Choice
        label={label}
        tile={tile}
        {...(help === undefined ? {} : { help })}
        value={codes.find((code) => code.value === value)?.value.toString()}
        options={codes.map((code) => ({ ...code, value: String(code.value) }))}
        onChange={(next) => {
          set(path, codes.find((code) => String(code.value) === next)?.value);
        }}
      />
    </At>
  );
}

/** Sets a field of a member of a list, which is added where it is not there yet. */
export function useSetMember(list: Path, id: string): (field: string, value: Value | undefined) => void {
  const { survey } = useSurvey();
  const set = useSet();
  return (field, value) => {
    if (valueOf(survey, [...list, id]) !== undefined) set([...list, id, field], value);
    else if (value !== undefined) set([...list, id], { id, [field]: value });
  };
}

/** A short id of its own for something added to the survey. */
export function freshId(kind: string): string {
  return `${kind}-${crypto.randomUUID().slice(0, 8)}`;
}
