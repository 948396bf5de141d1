import type { Pool } from 'pg';
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { Problem } from '../http/problem';

type Counted = 'set-up' | 'link' | 'recovery' | 'mail' | 'customer' | 'picture' | 'passkey';

/** How often in a quarter of an hour: by network, and mails by who they go to. None of it keeps anybody from signing in. */
const POINTS: Readonly<Record<Counted, number>> = {
  'set-up': 20,
  link: 60,
  recovery: 20,
  mail: 3,
  customer: 600,
  // Of one link, whatever became of them.
  picture: 150,
  passkey: 60,
};
const SECONDS = 15 * 60;

/** Limits on what is asked by people who are not signed in, in the database so that all instances count together. */
export function accessLimits(pool: Pool): {
  readonly take: (what: Counted, key: string) => Promise<void>;
  readonly isTooMany: (what: Counted, key: string) => Promise<boolean>;
} {
  const counts = new Map(
    Object.entries(POINTS).map(([what, points]) => [
      what,
      new RateLimiterPostgres({
        storeClient: pool,
        tableName: 'sign_in_counts',
        tableCreated: true,
        duration: SECONDS,
        keyPrefix: `access ${what}`,
        points,
      }),
    ]),
  );
  const over = async (what: Counted, key: string): Promise<RateLimiterRes | undefined> => {
    try {
      await counts.get(what)?.consume(key);
      return undefined;
    } catch (refusal) {
      if (refusal instanceof RateLimiterRes) return refusal;
      throw refusal;
    }
  };
  return {
    isTooMany: async (what, key) => (await over(what, key)) !== undefined,
    take: async (what, key) => {
      const refusal = await over(what, key);
      if (!refusal) return;
      const minutes = Math.max(1, Math.ceil(refusal.msBeforeNext / 60_000));
      throw new Problem(429, 'Too many tries', `Wait ${minutes} minute${minutes === 1 ? '' : 's'}, then try again.`);
    },
  };
}
