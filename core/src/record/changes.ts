/**
 * What differs between two JSON documents, as a list of changes that carry both sides. One type serves saving, undo,
 * history and merging: a change applies only where the document still says what it said before, and its inverse is
 * the same change read backwards.
 *
 * Lists whose members all have an `id` are compared member by member, so that two people editing different members
 * do not meet. Any other list is one value.
 */

export type Value = string | number | boolean | readonly Value[] | { readonly [key: string]: Value };

/** Names of fields, or ids of list members, from the top of the document. */
export type Path = readonly string[];

export type Change =
  /** A field or member becomes something else; without `from` it is new, without `to` it goes. */
  | { readonly kind: 'set'; readonly path: Path; readonly from?: Value; readonly to?: Value; readonly index?: number }
  /** A list of the same members is put in another order. */
  | { readonly kind: 'order'; readonly path: Path; readonly from: readonly string[]; readonly to: readonly string[] };

/** Where a change would write over something else: what is there now, against what the change had seen. */
export interface Conflict {
  readonly change: Change;
  readonly theirs: Value | undefined;
}

type Members = readonly { readonly id: string; readonly [key: string]: Value }[];
type Fields = { readonly [key: string]: Value };

function isFields(value: Value | undefined): value is Fields {
  return typeof value === 'object' && !Array.isArray(value);
}

function isMembers(value: Value | undefined): value is Members {
  return Array.isArray(value) && value.every((member: Value) => isFields(member) && typeof member['id'] === 'string');
}

/** Deep equality of JSON values, key order aside. */
export function same(a: Value | undefined, b: Value | undefined): boolean {
  if (a === b) return true;
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((member: Value, index) => same(member, (b as readonly Value[])[index]));
  if (!isFields(a) || !isFields(b)) return false;
  const keys = Object.keys(a);
  return keys.length === Object.keys(b).length && keys.every((key) => Object.hasOwn(b, key) && same(a[key], b[key]));
}

/** The changes that turn one document into the other. */
export function diff(from: Value, to: Value): Change[] {
  const changes: Change[] = [];
  compare([], from, to, changes);
  return changes;
}

function compare(path: Path, from: Value | undefined, to: Value | undefined, changes: Change[]): void {
  if (same(from, to)) return;
  if (isFields(from) && isFields(to)) {
    for (const key of new Set([...Object.keys(from), ...Object.keys(to)]))
      compare([...path, key], from[key], to[key], changes);
  } else if (isMembers(from) && isMembers(to)) compareMembers(path, from, to, changes);
  else changes.push(set(path, from, to));
}

function set(path: Path, from: Value | undefined, to: Value | undefined, index?: number): Change {
  return {
    kind: 'set',
    path,
    ...(from === undefined ? {} : { from }),
    ...(to === undefined ? {} : { to }),
    ...(index === undefined ? {} : { index }),
  };
}

/** Members that go (last first, so that putting them back runs first to last), members that come, what changed, order. */
function compareMembers(path: Path, from: Members, to: Members, changes: Change[]): void {
  const before = new Map(from.map((member) => [member.id, member]));
  const after = new Map(to.map((member) => [member.id, member]));
  for (const [index, member] of [...from.entries()].reverse())
    if (!after.has(member.id)) changes.push(set([...path, member.id], member, undefined, index));
  const order = from.map(({ id }) => id).filter((id) => after.has(id));
  for (const [index, member] of to.entries()) {
    const old = before.get(member.id);
    if (old) compare([...path, member.id], old, member, changes);
    else {
      changes.push(set([...path, member.id], undefined, member, index));
      order.splice(index, 0, member.id);
    }
  }
  const wanted = to.map(({ id }) => id);
  if (!same(order, wanted)) changes.push({ kind: 'order', path, from: order, to: wanted });
}

/** The changes that undo these. */
export function inverse(changes: readonly Change[]): Change[] {
  return [...changes]
    .reverse()
    .map((change) =>
      change.kind === 'order'
        ? { ...change, from: change.to, to: change.from }
        : set(change.path, change.to, change.from, change.index),
    );
}

/**
 * A document with the changes made that fit, and the others as conflicts. A change already made fits; one whose place
 * says something else than it had seen does not. Order is a courtesy, never a conflict.
 */
export function apply(document: Value, changes: readonly Change[]): { document: Value; conflicts: Conflict[] } {
  const conflicts: Conflict[] = [];
  let made = document;
  for (const change of changes) {
    const current = valueAt(made, change.path);
    if (change.kind === 'order') {
      if (isMembers(current)) made = replace(made, change.path, reordered(current, change.to)) ?? made;
    } else if (!same(current, change.to)) {
      const next = same(current, change.from) ? replace(made, change.path, change.to, change.index) : undefined;
      if (next === undefined) conflicts.push({ change, theirs: current });
      else made = next;
    }
  }
  return { document: made, conflicts };
}

/** The value at a path, or undefined. */
export function valueAt(document: Value | undefined, path: Path): Value | undefined {
  let at = document;
  for (const key of path) {
    if (isMembers(at)) at = at.find(({ id }) => id === key);
    else at = isFields(at) && Object.hasOwn(at, key) ? at[key] : undefined;
    if (at === undefined) return undefined;
  }
  return at;
}

/** A path as faults write it, members of lists by their place: `$.loads[3].powerW`. */
export function jsonPath(document: Value, path: Path): string {
  let text = '$';
  let at: Value | undefined = document;
  for (const key of path) {
    text += isMembers(at) ? `[${at.findIndex(({ id }) => id === key)}]` : `.${key}`;
    at = valueAt(at, [key]);
  }
  return text;
}

/** The document with another value at a path; undefined when the place the path leads to is gone. */
function replace(document: Value, path: Path, value: Value | undefined, index?: number): Value | undefined {
  const [key, ...rest] = path;
  if (key === undefined) return value;
  if (isMembers(document)) {
    const at = document.findIndex(({ id }) => id === key);
    if (rest.length > 0) {
      const member = document[at];
      const next = member && replace(member, rest, value, index);
      return next === undefined ? undefined : document.map((old, place) => (place === at ? next : old));
    }
    const others = document.filter(({ id }) => id !== key);
    if (value === undefined) return others;
    const place = at >= 0 ? at : Math.min(index ?? others.length, others.length);
    return [...others.slice(0, place), value, ...others.slice(place)];
  }
  if (!isFields(document)) return undefined;
  if (rest.length === 0) {
    const { [key]: _gone, ...others } = document;
    return value === undefined ? others : { ...document, [key]: value };
  }
  const inner = Object.hasOwn(document, key) ? document[key] : undefined;
  const next = inner === undefined ? undefined : replace(inner, rest, value, index);
  return next === undefined ? undefined : { ...document, [key]: next };
}

/** Members in the wanted order; any the order does not name keep to the end. */
function reordered(members: Members, wanted: readonly string[]): Members {
  const rank = new Map(wanted.map((id, place) => [id, place]));
  return [...members].sort((a, b) => (rank.get(a.id) ?? Infinity) - (rank.get(b.id) ?? Infinity) || 0);
}
