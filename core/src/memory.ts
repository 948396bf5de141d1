/** What is handed to a step: the survey and everything reckoned before it, by name. */
export type Facts = object;

/** What a step was made from: each thing it looked at, and what that was. */
type Seen = Map<string, unknown>;

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
}

/** Every step afresh: where a survey is reckoned once. */
export const AFRESH: Steps = {
  step: (_name, facts, make) => make(facts),
  joined: (_name, lists) => lists.flat(),
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

  readonly step = <F extends Facts, T>(name: string, facts: F, make: (facts: F) => T): T => {
    const last = this.steps.get(name);
    if (last && stillSees(last.seen, facts)) return last.result as T;
    const seen: Seen = new Map();
    const result = make(watched(facts, seen, ''));
    this.steps.set(name, { seen, result });
    return result;
  };

  readonly joined = <T>(name: string, lists: readonly (readonly T[])[]): readonly T[] => {
    const last = this.lists.get(name);
    if (last?.from.length === lists.length && lists.every((list, at) => list === last.from[at]))
      return last.joined as readonly T[];
    const joined = lists.flat();
    this.lists.set(name, { from: lists, joined });
    return joined;
  };
}

/** Looked into, and not taken whole: the survey by its parts, its place by its fields, and facts that hold a survey themselves. */
const LOOKED_INTO: ReadonlySet<string> = new Set(['survey', 'place', 'circuitFacts', 'earth']);

/** The facts, noting what is looked at. */
function watched<F extends Facts>(facts: F, seen: Seen, before: string): F {
  return new Proxy(facts, {
    get(target, key, receiver) {
      const value: unknown = Reflect.get(target, key, receiver);
      if (typeof key !== 'string') return value;
      const path = before === '' ? key : `${before}.${key}`;
      if (LOOKED_INTO.has(key) && typeof value === 'object' && value !== null) return watched(value, seen, path);
      seen.set(path, value);
      return value;
    },
  });
}

function stillSees(seen: Seen, facts: Facts): boolean {
  for (const [path, value] of seen) if (at(facts, path) !== value) return false;
  return true;
}

function at(facts: Facts, path: string): unknown {
  let here: unknown = facts;
  for (const key of path.split('.')) here = (here as Readonly<Record<string, unknown>> | undefined)?.[key];
  return here;
}
