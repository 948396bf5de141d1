import { linkFaults } from './links';
import { isObject } from './plain';
import { readSurvey, type SurveyRead } from './read';
import { Survey } from '../survey';
import { validated } from './validated';

/** Parts of a survey that hold a list of members beside their own fields. */
const LIST_WITHIN: Readonly<Record<string, string>> = { supply: 'nodes', intake: 'faults' };

/**
 * As `readSurvey`, for a document made out of a survey that has been read before: only what is not the very same value as in that one is checked
 * again, and the links between all of it. A save then costs what was typed, not what the whole survey holds. What is the same is told by identity,
 * so that nothing depends on what a change says of itself: a member under another id, or in another place, is another value or the same one.
 */
export function readEdited(document: unknown, before: Survey): SurveyRead {
  if (!isObject(document) || document['format'] !== before.format || document['version'] !== before.version)
    return readSurvey(document);
  const known = before as unknown as Record<string, unknown>;
  const changed = Object.keys(document).filter((key) => document[key] !== known[key]);
  const sparse = Object.fromEntries(changed.map((key) => [key, whatChanged(key, document[key], known[key])]));
  const { format, version } = before;
  const made = validated(Survey, { ...sparse, format, version });
  // Faults are rare: the whole document is then read once more, for paths that count from its own start.
  if ('faults' in made) return readSurvey(document);
  const survey = new Survey() as unknown as Record<string, unknown>;
  for (const key of Object.keys(document))
    survey[key] = Object.hasOwn(sparse, key)
      ? putTogether(key, document[key], sparse[key], made.value[key as keyof Survey])
      : document[key];
  const read = survey as unknown as Survey;
  return linkFaults(read).length > 0 ? readSurvey(document) : { survey: read };
}

/** What of a part has to be checked: of a list the members that are new, of anything else all of it. */
function whatChanged(key: string, now: unknown, before: unknown): unknown {
  const list = LIST_WITHIN[key];
  if (list !== undefined && isObject(now) && isObject(before) && Object.hasOwn(now, list))
    return { ...now, [list]: newMembers(now[list], before[list]) };
  return newMembers(now, before);
}

/** The members of a list that were not in it before; all of them where it has grown, since how long it may be is checked by its length. */
function newMembers(now: unknown, before: unknown): unknown {
  if (!Array.isArray(now) || !Array.isArray(before) || now.length > before.length) return now;
  const known = new Set<unknown>(before);
  return now.filter((member) => !known.has(member));
}

/** A part as it was read: what was checked as its model made it, the rest as it was. */
function putTogether(key: string, document: unknown, checked: unknown, read: unknown): unknown {
  const list = LIST_WITHIN[key];
  if (list !== undefined && isObject(document) && isObject(checked) && isObject(read) && Object.hasOwn(document, list))
    return Object.assign(read, { [list]: membersTogether(document[list], checked[list], read[list]) });
  return membersTogether(document, checked, read);
}

function membersTogether(document: unknown, checked: unknown, read: unknown): unknown {
  if (!Array.isArray(document) || !Array.isArray(checked) || !Array.isArray(read)) return read;
  const made = new Map<unknown, unknown>(checked.map((member, at) => [member, (read as unknown[])[at]]));
  return document.map((member: unknown) => made.get(member) ?? member);
}
