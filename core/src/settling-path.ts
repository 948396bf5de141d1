import type { FieldPath } from './survey/schema/field-path';
import { COLLECTIONS } from './survey/schema/survey-schema';

/** The path of the very field that settles a finding, members of lists by their ids; undefined where it names none. */
export function settlingPath({
  field,
  subjectId,
}: {
  readonly field?: FieldPath | undefined;
  readonly subjectId?: string | undefined;
}): string | undefined {
  if (field === undefined || subjectId === undefined) return field;
  // The subject is the member of the outermost list.
  const list = COLLECTIONS.find((each) => field.startsWith(`${each}.`));
  return list === undefined ? field : `${list}.${subjectId}${field.slice(list.length)}`;
}
