import { linkFaults } from './links';
import { isObject } from './plain';
import { readSurvey, type SurveyRead } from './read';
import { fieldsOf, type Model } from '../schema/field-spec';
import { Survey } from '../survey';
import { validated } from './validated';

/**
 * As `readSurvey`, for a document made out of a survey that has been read before: only what is not the very same value as in that one is checked
 * again, and the links between all of it. A save then costs what was typed, not what the whole survey holds. What is the same is told by identity,
 * so that nothing depends on what a change says of itself: a member under another id, or in another place, is another value or the same one.
 */
export function readEdited(document: unknown, before: Survey): SurveyRead {
  if (!isObject(document) || document['format'] !== before.format || document['version'] !== before.version)
    return readSurvey(document);
  const sparse = newWithin(Survey, document, before as unknown as Fields);
  const { format, version } = before;
  const made = validated(Survey, { ...sparse, format, version });
  // Faults are rare: the whole document is then read once more, for paths that count from its own start.
  if ('faults' in made) return readSurvey(document);
  const survey = new Survey();
  for (const [key, value] of Object.entries(together(Survey, document, sparse, made.value as unknown as Fields)))
    Object.assign(survey, { [key]: value });
  return linkFaults(survey).length > 0 ? readSurvey(document) : { survey };
}

type Fields = Readonly<Record<string, unknown>>;

/** What of a part has to be checked: its parts and lists that are not the very same as before, and of those only what is new in them. */
function newWithin(model: Model, now: Fields, before: Fields): Fields {
  const specs = fieldsOf(model);
  return Object.fromEntries(
    Object.entries(now).flatMap(([key, value]) => {
      const spec = specs.get(key);
      if (spec?.kind !== 'part' && spec?.kind !== 'list') return [[key, value]];
      const was = before[key];
      if (value === was) return [];
      if (spec.kind === 'list') return [[key, newMembers(value, was)]];
      return [[key, isObject(value) && isObject(was) ? newWithin(spec.of(), value, was) : value]];
    }),
  );
}

/** The members of a list that were not in it before; all of them where it has grown, since how long it may be is checked by its length. */
function newMembers(now: unknown, before: unknown): unknown {
  if (!Array.isArray(now) || !Array.isArray(before) || now.length > before.length) return now;
  const known = new Set<unknown>(before);
  return now.filter((member) => !known.has(member));
}

/** A part put together: what was checked as its model made it, the rest as it was. */
function together(model: Model, document: Fields, checked: Fields, read: Fields): Fields {
  const specs = fieldsOf(model);
  return Object.fromEntries(
    Object.entries(document).map(([key, value]) => {
      const [was, made] = [checked[key], read[key]];
      if (!Object.hasOwn(checked, key)) return [key, value];
      const spec = specs.get(key);
      if (spec?.kind === 'list') return [key, membersTogether(value, was, made)];
      const isPart = spec?.kind === 'part' && isObject(value) && isObject(was) && isObject(made);
      return [key, isPart ? Object.assign(made, together(spec.of(), value, was, made)) : made];
    }),
  );
}

function membersTogether(document: unknown, checked: unknown, read: unknown): unknown {
  if (!Array.isArray(document) || !Array.isArray(checked) || !Array.isArray(read)) return read;
  const made = new Map<unknown, unknown>(checked.map((member, at) => [member, (read as unknown[])[at]]));
  return document.map((member: unknown) => made.get(member) ?? member);
}
