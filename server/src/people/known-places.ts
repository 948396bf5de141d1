import type { Request, Response } from 'express';
import { createHash, randomBytes } from 'node:crypto';
import { isIPv6 } from 'node:net';
import type { PoolClient } from 'pg';
import type { Actor } from '../db/firm-scope';

/** The cookie a device bears from its first sign-in on; it opens nothing, it only says that somebody has signed in there before. */
const COOKIE = 'keen.device';
const NAME = /^[A-Za-z0-9_-]{43}$/;
const A_YEAR_MS = 365 * 24 * 60 * 60 * 1000;

/** Where a request comes from, as sign-ins are counted. */
export interface Place {
  readonly address: string;
  readonly device: string | undefined;
  /** Of both, as they are kept. */
  readonly digests: { readonly address: Buffer; readonly device: Buffer };
}

export function placeOf(request: Request): Place {
  const address = networkOf(request.ip ?? 'unknown');
  const device = cookieOf(request.headers.cookie ?? '');
  return {
    address,
    device,
    digests: { address: digestOf('address', address), device: digestOf('device', device ?? '') },
  };
}

/** Version 6 gives every household millions of addresses: its first half is what tells one from another. */
function networkOf(address: string): string {
  if (!isIPv6(address)) return address;
  const mapped = /^::ffff:(\d+\.\d+\.\d+\.\d+)$/i.exec(address)?.[1];
  if (mapped !== undefined) return mapped;
  const [head = '', tail = ''] = address.split('::');
  const [before, after] = [head.split(':').filter(Boolean), tail.split(':').filter(Boolean)];
  const whole = address.includes('::')
    ? [...before, ...Array<string>(Math.max(0, 8 - before.length - after.length)).fill('0'), ...after]
    : before;
  return whole.slice(0, 4).join(':');
}

function cookieOf(header: string): string | undefined {
  const value = header
    .split(';')
    .map((each) => each.trim().split('='))
    .find(([name]) => name === COOKIE)?.[1];
  return value !== undefined && NAME.test(value) ? value : undefined;
}

const digestOf = (kind: string, value: string): Buffer => createHash('sha256').update(`${kind} ${value}`).digest();

/** Notes that somebody has signed in from here, and gives the device a name where it has none. */
export async function rememberPlace(db: PoolClient, person: Actor, place: Place, response: Response): Promise<void> {
  const device = place.device ?? randomBytes(32).toString('base64url');
  for (const digest of [place.digests.address, digestOf('device', device)])
    await db.query(
      `INSERT INTO known_places (person_id, firm_id, digest) VALUES ($1, $2, $3)
       ON CONFLICT (person_id, digest) DO UPDATE SET seen_at = now()`,
      [person.personId, person.firmId, digest],
    );
  await db.query("DELETE FROM known_places WHERE person_id = $1 AND seen_at < now() - interval '90 days'", [
    person.personId,
  ]);
  response.cookie(COOKIE, device, {
    httpOnly: true,
    sameSite: 'lax',
    secure: response.req.secure,
    maxAge: A_YEAR_MS,
    path: '/api/session',
  });
}
