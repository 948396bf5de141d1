import type { FieldPath } from '../schema/field-path';
import { SURVEY_FORMAT, SURVEY_VERSION } from '../survey';
import { isObject, shown, type Fault } from './plain';

type Document = Record<string, unknown>;

/** A named step that brings a document of one version to the next. What it is given is parsed JSON and not yet checked: it leaves alone what it does not know. */
interface Step {
  readonly name: string;
  readonly from: number;
  readonly step: (document: Document) => Document;
}

/** Lists in which an id could stand twice until version 2; in all the others it was refused, and is. */
const LISTS_NOBODY_LOOKED_AT: readonly FieldPath[] = [
  'proposals.limiter.test.places',
  'trials.loads',
  'trials.chargers',
  'trials.ways',
  'trials.ways.parts',
  'after.ticks',
];

/** In order. A new version adds one here, with a fixture of the former format beside the test. */
export const STEPS: readonly Step[] = [
  { name: 'ids-stand-once', from: 1, step: (document) => LISTS_NOBODY_LOOKED_AT.reduce(withIdsOnce, document) },
];

/** Every version that can be read. */
const VERSIONS = Array.from({ length: SURVEY_VERSION }, (_, index) => index + 1);

/** The document brought to the present version, or why it cannot be. */
export function upgrade(document: Document): { document: Document } | { faults: Fault[] } {
  const { format, version } = document;
  if (format !== SURVEY_FORMAT) return fault('$.format', format, `"${SURVEY_FORMAT}"`);
  if (typeof version !== 'number' || !VERSIONS.includes(version))
    return fault('$.version', version, VERSIONS.join(' or '));
  return {
    document: STEPS.filter(({ from }) => from >= version).reduce(
      (at, { from, step }) => ({ ...step(at), version: from + 1 }),
      document,
    ),
  };
}

function fault(path: string, value: unknown, expected: string): { faults: Fault[] } {
  return { faults: [{ path, wrong: value === undefined ? 'is missing' : `is ${shown(value)}`, expected }] };
}

/** The document with no id twice in any list at a path: the first keeps it, each later one takes it with a number. */
function withIdsOnce(document: Document, path: FieldPath): Document {
  return changedAt(document, path.split('.'), idsOnce) as Document;
}

/** What is there with the list at the end of the keys changed, within every member of the lists on the way; as it is where there is none. */
function changedAt(here: unknown, keys: readonly string[], change: (list: unknown[]) => unknown[]): unknown {
  const [key, ...rest] = keys;
  if (Array.isArray(here)) return key === undefined ? change(here) : here.map((each) => changedAt(each, keys, change));
  if (key === undefined || !isObject(here) || !Object.hasOwn(here, key)) return here;
  return { ...here, [key]: changedAt(here[key], rest, change) };
}

function idsOnce(list: unknown[]): unknown[] {
  const taken = new Set<unknown>();
  return list.map((member) => {
    if (!isObject(member)) return member;
    const id = freeId(member['id'], taken);
    taken.add(id);
    return id === member['id'] ? member : { ...member, id };
  });
}

function freeId(id: unknown, taken: ReadonlySet<unknown>): unknown {
  if (typeof id !== 'string' || !taken.has(id)) return id;
  for (let at = 2; ; at += 1) if (!taken.has(`${id}-${at}`)) return `${id}-${at}`;
}
