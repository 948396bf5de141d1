import { POOL_POLICIES, type PoolPolicy } from '../survey/words/pool-words';

export const POLICIES = POOL_POLICIES;
export type Policy = PoolPolicy;

/** What a policy does, as people are told, and what has to be known for it. */
export interface PolicyWords {
  readonly name: string;
  readonly does: string;
  readonly needs: string;
}

export const POLICY_WORDS: Readonly<Record<Policy, PolicyWords>> = {
  equal: {
    name: 'Equal shares',
    does: 'Everybody has the same; where it is too little for all, the waiting take turns.',
    needs: 'Nothing of the drivers.',
  },
  'first-come': {
    name: 'First come, first served',
    does: 'Whoever came first charges first, and has what is left over.',
    needs: 'Nothing of the drivers.',
  },
  'soonest-departure': {
    name: 'Soonest departure first',
    does: 'Whoever leaves first charges first, and has what is left over.',
    needs: 'When each driver means to leave.',
  },
  'least-energy': {
    name: 'Least energy so far first',
    does: 'Whoever has had least since arriving charges first.',
    needs: 'Nothing of the drivers.',
  },
};

/** A car that wants something now, as far as any policy looks at it. */
export interface Waiting {
  readonly arrivedAt: number;
  readonly leavesAt: number;
  /** Turns in which it was given something since it arrived. */
  readonly turns: number;
  readonly hadKwh: number;
  /** Its place in the row: what breaks every tie. */
  readonly place: number;
}

type Order = (a: Waiting, b: Waiting) => number;
const asTheyCame: Order = (a, b) => a.arrivedAt - b.arrivedAt || a.place - b.place;

/** Who goes before whom under each policy: negative where `a` does. Source: guide section 16. */
export const ORDERS: Readonly<Record<Policy, Order>> = {
  equal: (a, b) => a.turns - b.turns || asTheyCame(a, b),
  'first-come': asTheyCame,
  'soonest-departure': (a, b) => a.leavesAt - b.leavesAt || asTheyCame(a, b),
  'least-energy': (a, b) => a.hadKwh - b.hadKwh || asTheyCame(a, b),
};
