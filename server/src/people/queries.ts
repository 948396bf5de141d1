import type { FirmRules } from '@keen-gauge/core/firm/firm-rules';
import { randomUUID } from 'node:crypto';
import type { Pool, PoolClient } from 'pg';
import type { Asker } from '../db/firm-scope';
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

/** Somebody as a supervisor sees them. */
export interface Member extends Omit<Person, 'firm'> {
  readonly endedAt: Date | null;
}

/** Everybody who is or was of the firm, those who are first. */
export async function membersOf(db: PoolClient): Promise<Member[]> {
  const found = await db.query<Member>(
    `SELECT id, name, email, role, may_sign_off AS "maySignOff", registration, ended_at AS "endedAt"
       FROM people ORDER BY ended_at IS NOT NULL, name`,
  );
  return found.rows;
}

/** Somebody new, under an address that nobody of any firm has. */
export async function insertPerson(
  db: PoolClient,
  firmId: string,
  { email, name, role, maySignOff, registration }: Omit<Person, 'id' | 'firm'>,
  passwordHash: string,
): Promise<Asker> {
  const personId = randomUUID();
  await db.query(
    `INSERT INTO people (id, firm_id, email, name, role, may_sign_off, registration, password_hash)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [personId, firmId, email, name, role, maySignOff, registration, passwordHash],
  );
  return { firmId, personId, generation: 1 };
}

/** Gives somebody who is still of the firm a new password, which ends all their sessions; the generation that counts from now on. */
export async function setPassword(db: PoolClient, id: string, passwordHash: string): Promise<number | undefined> {
  const set = await db.query<{ generation: number }>(
    'UPDATE people SET password_hash = $2 WHERE id = $1 AND ended_at IS NULL RETURNING generation',
    [id, passwordHash],
  );
  return set.rows[0]?.generation;
}

/** What may be changed of somebody. */
export type Changed = Pick<Person, 'name' | 'role' | 'maySignOff' | 'registration'>;

export async function changePerson(db: PoolClient, id: string, to: Changed): Promise<void> {
  await db.query('UPDATE people SET name = $2, role = $3, may_sign_off = $4, registration = $5 WHERE id = $1', [
    id,
    to.name,
    to.role,
    to.maySignOff,
    to.registration,
  ]);
}

/** Lets somebody go, which ends all their sessions, or takes them back; false where they were so already. */
export async function setEnded(db: PoolClient, id: string, ended: boolean): Promise<boolean> {
  const set = await db.query(
    `UPDATE people SET ended_at = ${ended ? 'now()' : 'NULL'} WHERE id = $1 AND ended_at IS ${ended ? '' : 'NOT '}NULL`,
    [id],
  );
  return set.rowCount === 1;
}

/** The hash of somebody's password, to hold what they type against. */
export async function passwordHashOf(db: PoolClient, id: string): Promise<string> {
  const found = await db.query<{ hash: string }>('SELECT password_hash AS hash FROM people WHERE id = $1', [id]);
  return found.rows[0]?.hash ?? '';
}
