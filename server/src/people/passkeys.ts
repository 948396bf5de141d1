import type { WebAuthnCredential } from '@simplewebauthn/server';
import { randomUUID } from 'node:crypto';
import type { Pool, PoolClient } from 'pg';
import type { Asker } from '../db/firm-scope';

/** A passkey as its owner sees it. */
export interface ShownPasskey {
  readonly id: string;
  readonly device: string;
  readonly madeAt: Date;
  readonly usedAt: Date | null;
}

/** A passkey as signing in needs it, and whose it is. */
export interface KnownPasskey {
  readonly asker: Asker;
  readonly credential: WebAuthnCredential;
}

export async function passkeysOf(db: PoolClient, personId: string): Promise<ShownPasskey[]> {
  const found = await db.query<ShownPasskey>(
    'SELECT id, device, made_at AS "madeAt", used_at AS "usedAt" FROM passkeys WHERE person_id = $1 ORDER BY made_at',
    [personId],
  );
  return found.rows;
}

/** The credentials somebody has already, so that a device does not make a second one. */
export async function credentialsOf(db: PoolClient, personId: string): Promise<{ readonly id: string }[]> {
  const found = await db.query<{ id: string }>('SELECT credential AS id FROM passkeys WHERE person_id = $1', [
    personId,
  ]);
  return found.rows;
}

export async function insertPasskey(
  db: PoolClient,
  { firmId, personId }: Asker,
  { id, publicKey, counter, transports = [] }: WebAuthnCredential,
  device: string,
): Promise<void> {
  await db.query(
    `INSERT INTO passkeys (id, firm_id, person_id, credential, public_key, counter, transports, device)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [randomUUID(), firmId, personId, id, Buffer.from(publicKey), counter, transports, device],
  );
}

/** False where somebody has no such passkey. */
export async function deletePasskey(db: PoolClient, personId: string, id: string): Promise<boolean> {
  const gone = await db.query('DELETE FROM passkeys WHERE id = $1 AND person_id = $2', [id, personId]);
  return gone.rowCount === 1;
}

/** The one look-up of passkeys that crosses firms; see the migration. */
export async function passkeyForSignIn(pool: Pool, credential: string): Promise<KnownPasskey | undefined> {
  const found = await pool.query<{
    firmId: string;
    personId: string;
    generation: number;
    publicKey: Buffer;
    counter: string;
    transports: NonNullable<WebAuthnCredential['transports']>;
  }>(
    'SELECT firm_id AS "firmId", person_id AS "personId", generation, public_key AS "publicKey", counter, transports FROM passkey_for_sign_in($1)',
    [credential],
  );
  const [row] = found.rows;
  if (!row) return undefined;
  const { firmId, personId, generation, publicKey, counter, transports } = row;
  return {
    asker: { firmId, personId, generation },
    credential: { id: credential, publicKey: new Uint8Array(publicKey), counter: Number(counter), transports },
  };
}

export async function passkeyUsed(db: PoolClient, credential: string, counter: number): Promise<void> {
  await db.query('UPDATE passkeys SET counter = $2, used_at = now() WHERE credential = $1', [credential, counter]);
}
