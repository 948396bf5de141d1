/** What is handed to a step: the survey and everything worked out before it, by name. */
export type Facts = object;

interface Made {
  readonly seen: Seen;
  readonly result: unknown;
}

/** Runs the named steps of a reckoning. */
export interface Steps {
  /** What a step makes of the facts; a pure function of those it looks at. */
  readonly step: <F extends Facts, T>(name: string, facts: F, make: (facts: F) => T) => T;
  /** Lists one after the other. */
  readonly joined: <T>(name: string, lists: readonly (readonly T[])[]) => readonly T[];
  /** The list or record as it was the last time, where this one holds the very same. */
  readonly same: <T extends object>(name: string, made: T) => T;
  /** What is made of each thing of a list; a pure function of that thing alone, and of what the name says. */
  readonly each: <I extends object, T>(name: string, things: readonly I[], make: (thing: I) => T) => readonly T[];
}

/** Every step afresh: where a survey is reckoned once. */
export const AFRESH: Steps = {
  step: (_name, facts, make) => make(facts),
  joined: (_name, lists) => lists.flat(),
  same: (_name, made) => made,
  each: (_name, things, make) => things.map((thing) => make(thing)),
};

/**
 * Remembers of each step what it made last and what it looked at while it made it: the parts of the survey, and results of steps before. While each
 * of those is the very same, the result stands. There is no clock and no size: one survey that changes a little from key to key needs one of each.
 * What it is given must never be changed in place, and what it gives may be kept.
 */
export class Memory implements Steps {
  private readonly steps = new Map<string, Made>();
  private readonly lists = new Map<
    string,
    { readonly from: readonly unknown[]; readonly joined: readonly unknown[] }
  >();
  private readonly kept = new Map<string, object>();
  private readonly ofThings = new Map<string, WeakMap<object, unknown>>();

  readonly step = <F extends Facts, T>(name: string, facts: F, make: (facts: F) => T): T => {
    const last = this.steps.get(name);
    if (last?.seen.isStillSeenIn(facts)) return last.result as T;
    const seen = new Seen();
    const made = make(watched(facts, seen));
    // A list of the very same things is the list of before, so that what rests on it stands.
    const result =
      Array.isArray(made) && Array.isArray(last?.result) && holdsTheSame(last.result, made) ? last.result : made;
    this.steps.set(name, { seen, result });
    return result as T;
  };

  readonly joined = <T>(name: string, lists: readonly (readonly T[])[]): readonly T[] => {
    const last = this.lists.get(name);
    if (last?.from.length === lists.length && lists.every((list, at) => list === last.from[at]))
      return last.joined as readonly T[];
    const flat = lists.flat();
    const joined = last && holdsTheSame(last.joined, flat) ? last.joined : flat;
    this.lists.set(name, { from: lists, joined });
    return joined as readonly T[];
  };

  readonly same = <T extends object>(name: string, made: T): T => {
    const last = this.kept.get(name);
    if (last && holdsTheSame(last, made)) return last as T;
    this.kept.set(name, made);
    return made;
  };

  readonly each = <I extends object, T>(name: string, things: readonly I[], make: (thing: I) => T): readonly T[] => {
    const known = this.ofThings.get(name) ?? new WeakMap<object, unknown>();
    this.ofThings.set(name, known);
    return this.same(
      name,
      things.map((thing) => {
        if (!known.has(thing)) known.set(thing, make(thing));
        return known.get(thing) as T;
      }),
    );
  };
}

/** Looked into, and not taken whole: what is made anew on every key, of parts that mostly are not. */
const LOOKED_INTO: ReadonlySet<string> = new Set([
  'facts',
  'survey',
  'place',
  'circuitFacts',
  'earth',
  'demand',
  'limited',
]);

/** What a step looked at: each thing by its name, and what that was. */
class Seen {
  private readonly names: string[] = [];
  private readonly values: unknown[] = [];
  private readonly insides = new Map<string, Seen>();

  note(name: string, value: unknown): void {
    if (this.names.includes(name)) return;
    this.names.push(name);
    this.values.push(value);
  }

  inside(name: string): Seen {
    const found = this.insides.get(name) ?? new Seen();
    this.insides.set(name, found);
    return found;
  }

  isStillSeenIn(facts: unknown): boolean {
    if (typeof facts !== 'object' || facts === null) return false;
    const { names, values } = this;
    const here = facts as Readonly<Record<string, unknown>>;
    for (let at = 0; at < names.length; at += 1) if (here[names[at] as string] !== values[at]) return false;
    for (const [name, inside] of this.insides) if (!inside.isStillSeenIn(here[name])) return false;
    return true;
  }
}

/** The facts, noting what is looked at. */
function watched<F extends Facts>(facts: F, seen: Seen): F {
  return new Proxy(facts, {
    get(target, key) {
      const value = (target as Readonly<Record<string | symbol, unknown>>)[key];
      if (typeof key !== 'string') return value;
      if (LOOKED_INTO.has(key) && typeof value === 'object' && value !== null) return watched(value, seen.inside(key));
      seen.note(key, value);
      return value;
    },
  });
}

function holdsTheSame(one: object, other: object): boolean {
  if (Array.isArray(one)) {
    const others = other as readonly unknown[];
    return one.length === others.length && one.every((each, at) => each === others[at]);
  }
  const [first, second] = [one as Readonly<Record<string, unknown>>, other as Readonly<Record<string, unknown>>];
  for (const name in second) if (first[name] !== second[name]) return false;
  for (const name in first) if (!(name in second)) return false;
  return true;
}
