import { Problem } from '../http/problem';
import type { Pool } from 'pg';
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';

/** From where somebody tries: as what they are known by, and where they have signed in before. */
export interface Try {
  readonly name: string;
  /** The network the request comes from. */
  readonly address: string;
  /** The device, where it has a name that was given it at an earlier sign-in. */
  readonly device?: string | undefined;
  readonly knownDevice: boolean;
  readonly knownAddress: boolean;
}

/** A try that may be made; given back where the password was right. */
export interface Taken {
  readonly giveBack: () => Promise<void>;
}

/** Too many tries: how long until the next, ms, and whether this is the one that went over. */
export interface Stopped {
  readonly waitMs: number;
  readonly first: boolean;
}

const SECONDS = 15 * 60;

/**
 * Limits on tries to sign in, in the database so that all instances count together. A try is counted before the password is looked at, so that a hundred at one
 * moment are a hundred. Whoever guesses is slowed where they are: by name and address together, by address alone, and by name over all places nobody has signed
 * in from. A device or an address that somebody has signed in from has counts of its own and so keeps working, whatever is tried elsewhere.
 */
export function signInLimits(pool: Pool): { readonly take: (wanted: Try) => Promise<Taken | Stopped> } {
  const limit = (keyPrefix: string, points: number): RateLimiterPostgres =>
    new RateLimiterPostgres({
      storeClient: pool,
      tableName: 'sign_in_counts',
      tableCreated: true,
      duration: SECONDS,
      keyPrefix,
      points,
    });
  const [perDevice, perPlace, perAddress, perName] = [
    limit('device', 10),
    limit('place', 8),
    limit('address', 60),
    limit('name', 60),
  ];

  const countsFor = ({ name, address, device, knownDevice, knownAddress }: Try): [RateLimiterPostgres, string][] => {
    if (knownDevice && device !== undefined) return [[perDevice, `${device} ${name}`]];
    const place: [RateLimiterPostgres, string] = [perPlace, `${address} ${name}`];
    return knownAddress ? [place] : [place, [perAddress, address], [perName, name]];
  };

  return {
    take: async (wanted) => {
      const counts = countsFor(wanted);
      for (const [count, key] of counts) {
        const over = await count.consume(key).then(
          () => null,
          (refusal: unknown) => {
            if (refusal instanceof RateLimiterRes) return refusal;
            throw refusal;
          },
        );
        if (over) return { waitMs: over.msBeforeNext, first: over.consumedPoints === count.points + 1 };
      }
      return {
        giveBack: async () => {
          for (const [count, key] of counts) await count.reward(key);
        },
      };
    },
  };
}

/** What somebody is told who has tried too often. */
export function tooMany(waitMs: number): Problem {
  const minutes = Math.max(1, Math.ceil(waitMs / 60_000));
  return new Problem(429, 'Too many tries', `Wait ${minutes} minute${minutes === 1 ? '' : 's'}, then try again.`);
}
