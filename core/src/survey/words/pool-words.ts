/** Which cars charge where not all of them can have the least current at once. */
export const POOL_POLICIES = ['equal', 'first-come', 'soonest-departure', 'least-energy'] as const;
export type PoolPolicy = (typeof POOL_POLICIES)[number];
