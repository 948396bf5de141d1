import { Survey } from '../survey';
import type { FieldPath } from './field-path';
import { fieldsOf, type FieldSpec, type Model } from './field-spec';

/** Every field of the survey, parts and lists before what is in them. Read once from the models. */
export const SURVEY_SCHEMA: ReadonlyMap<FieldPath, FieldSpec> = new Map(fieldsWithin(Survey, ''));

function fieldsWithin(model: Model, before: string): [FieldPath, FieldSpec][] {
  return [...fieldsOf(model)].flatMap(([name, spec]) => {
    const path = `${before}${name}`;
    const own: [FieldPath, FieldSpec] = [path as FieldPath, spec];
    return spec.kind === 'part' || spec.kind === 'list' ? [own, ...fieldsWithin(spec.of(), `${path}.`)] : [own];
  });
}

/** Every list of members with ids, outer ones first: `proposals`, `supply.nodes`, `supply.nodes.checks`. */
export const COLLECTIONS: readonly FieldPath[] = [...SURVEY_SCHEMA].flatMap(([path, { kind }]) =>
  kind === 'list' ? [path] : [],
);

/** A place of one survey as the schema names its field: the ids of members left out. Undefined for a member itself, and where there is no such field. */
export function fieldAt(place: readonly string[]): FieldPath | undefined {
  let path = '';
  let member = false;
  for (const key of place) {
    if (member) {
      member = false;
      continue;
    }
    path = path === '' ? key : `${path}.${key}`;
    const spec = SURVEY_SCHEMA.get(path as FieldPath);
    if (!spec) return undefined;
    member = spec.kind === 'list';
  }
  const ended = SURVEY_SCHEMA.get(path as FieldPath);
  // A list has an even way to its members: what ends on an id is the member and no field.
  const onMember = ended?.kind === 'list' && !member;
  return ended && !onMember ? (path as FieldPath) : undefined;
}

/** What the field at a place of one survey holds. */
export function specAt(place: readonly string[]): FieldSpec | undefined {
  const path = fieldAt(place);
  return path === undefined ? undefined : SURVEY_SCHEMA.get(path);
}
