import type { FirmRules } from '@keen-gauge/core/firm/firm-rules';
import type { Pool, PoolClient } from 'pg';
import { firmRules } from '../firm/rules';

/** A person as the application shows them. */
export interface Person {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly role: 'surveyor' | 'office' | 'supervisor';
  readonly maySignOff: boolean;
  readonly registration: string;
  readonly firm: string;
}

/** Somebody as signing in needs them; `known` are the digests of places they have signed in from. */
export interface SignInPerson {
  readonly id: string;
  readonly firmId: string;
  readonly passwordHash: string;
  readonly generation: number;
  readonly known: readonly Buffer[];
}

/** The one look-up of people that crosses firms; see the migration. */
export async function personForSignIn(
  pool: Pool,
  email: string,
  digests: readonly Buffer[],
): Promise<SignInPerson | undefined> {
  const found = await pool.query<SignInPerson>(
    'SELECT id, firm_id AS "firmId", password_hash AS "passwordHash", generation, known FROM person_for_sign_in($1, $2)',
    [email, digests],
  );
  return found.rows[0];
}

/** A person of the firm in scope. */
export async function personById(db: PoolClient, id: string): Promise<Person | undefined> {
  const found = await db.query<Person>(
    `SELECT p.id, p.name, p.email, p.role, p.may_sign_off AS "maySignOff", p.registration,
            f.name AS firm
       FROM people p JOIN firms f ON f.id = p.firm_id
      WHERE p.id = $1`,
    [id],
  );
  return found.rows[0];
}

/** A person as they see themselves: with the rules their firm works to, which every survey is judged by. */
export async function meOf(db: PoolClient, id: string): Promise<(Person & { readonly rules: FirmRules }) | undefined> {
  const person = await personById(db, id);
  return person && { ...person, rules: await firmRules(db) };
}
