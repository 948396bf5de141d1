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

/** The one look-up that crosses firms; see the migration. */
export async function personForSignIn(
  pool: Pool,
  email: string,
): Promise<{ id: string; firmId: string; passwordHash: string } | undefined> {
  const found = await pool.query<{ id: string; firmId: string; passwordHash: string }>(
    'SELECT id, firm_id AS "firmId", password_hash AS "passwordHash" FROM person_for_sign_in($1)',
    [email],
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
