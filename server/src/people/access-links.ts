import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { Pool, PoolClient } from 'pg';
import type { Person } from './queries';

/** A link that opens the application once: to somebody invited, or to somebody whose password is lost. */
export interface AccessLink {
  readonly id: string;
  readonly kind: 'invitation' | 'recovery';
  readonly email: string;
  readonly name: string;
  readonly role: Person['role'] | null;
  readonly maySignOff: boolean;
  readonly registration: string;
  readonly personId: string | null;
  readonly madeBy: string | null;
  readonly madeAt: Date;
  readonly expiresAt: Date;
}

/** Who is invited, and as what. */
export interface Invited {
  readonly email: string;
  readonly name: string;
  readonly role: Person['role'];
  readonly maySignOff: boolean;
  readonly registration: string;
}

const INVITATION_DAYS = 7;
const RECOVERY_HOURS = 2;

const COLUMNS = `l.id, l.kind, l.email, l.name, l.role, l.may_sign_off AS "maySignOff", l.registration, l.person_id AS "personId",
  p.name AS "madeBy", l.made_at AS "madeAt", l.expires_at AS "expiresAt"`;
const OPEN = 'l.used_at IS NULL AND l.revoked_at IS NULL AND l.expires_at > now()';

const digestOf = (token: string): Buffer => createHash('sha256').update(`link ${token}`).digest();

/** Makes an invitation; what was open for that address before is revoked. It opens nothing until a token is drawn for it. */
export async function insertInvitation(
  db: PoolClient,
  firmId: string,
  madeBy: string | null,
  invited: Invited,
): Promise<string> {
  const id = randomUUID();
  await db.query(
    "UPDATE access_links SET revoked_at = now() WHERE email = $1 AND kind = 'invitation' AND used_at IS NULL AND revoked_at IS NULL",
    [invited.email],
  );
  await db.query(
    `INSERT INTO access_links (id, firm_id, kind, email, name, role, may_sign_off, registration, made_by, expires_at)
     VALUES ($1, $2, 'invitation', $3, $4, $5, $6, $7, $8, now() + make_interval(days => $9))`,
    [
      id,
      firmId,
      invited.email,
      invited.name,
      invited.role,
      invited.maySignOff,
      invited.registration,
      madeBy,
      INVITATION_DAYS,
    ],
  );
  return id;
}

/** Makes a link to a new password for somebody of the firm; one that is open for them already is revoked. */
export async function insertRecovery(
  db: PoolClient,
  firmId: string,
  madeBy: string | null,
  person: { readonly id: string; readonly email: string },
): Promise<string> {
  const id = randomUUID();
  await db.query(
    'UPDATE access_links SET revoked_at = now() WHERE person_id = $1 AND used_at IS NULL AND revoked_at IS NULL',
    [person.id],
  );
  await db.query(
    `INSERT INTO access_links (id, firm_id, kind, email, person_id, made_by, expires_at)
     VALUES ($1, $2, 'recovery', $3, $4, $5, now() + make_interval(hours => $6))`,
    [id, firmId, person.email, person.id, madeBy, RECOVERY_HOURS],
  );
  return id;
}

/** Draws what stands in a link; one drawn before opens nothing any more. Undefined where the link is used, revoked or past its day. Kept as a digest only. */
export async function drawToken(db: PoolClient, id: string): Promise<string | undefined> {
  const token = randomBytes(32).toString('base64url');
  const drawn = await db.query(`UPDATE access_links l SET digest = $2 WHERE l.id = $1 AND ${OPEN}`, [
    id,
    digestOf(token),
  ]);
  return drawn.rowCount === 1 ? token : undefined;
}

/** Which link a token opens, of whichever firm; undefined where none, whether it never was one or is one no more. */
export async function linkOfToken(
  pool: Pool,
  token: string,
): Promise<{ readonly id: string; readonly firmId: string } | undefined> {
  const found = await pool.query<{ id: string; firmId: string }>(
    'SELECT id, firm_id AS "firmId" FROM firm_of_link($1)',
    [digestOf(token)],
  );
  return found.rows[0];
}

/** A link that can be used, held until the transaction ends. */
export async function openLink(db: PoolClient, id: string): Promise<AccessLink | undefined> {
  const found = await db.query<AccessLink>(
    `SELECT ${COLUMNS} FROM access_links l LEFT JOIN people p ON p.id = l.made_by WHERE l.id = $1 AND ${OPEN} FOR UPDATE OF l`,
    [id],
  );
  return found.rows[0];
}

/** Invitations of the firm that nobody has taken up yet, newest first. */
export async function openInvitations(db: PoolClient): Promise<AccessLink[]> {
  const found = await db.query<AccessLink>(
    `SELECT ${COLUMNS} FROM access_links l LEFT JOIN people p ON p.id = l.made_by
      WHERE l.kind = 'invitation' AND ${OPEN} ORDER BY l.made_at DESC`,
  );
  return found.rows;
}

export async function useLink(db: PoolClient, id: string): Promise<void> {
  await db.query('UPDATE access_links SET used_at = now() WHERE id = $1', [id]);
}

/** False where there is no such link that could still be used. */
export async function revokeLink(db: PoolClient, id: string): Promise<boolean> {
  const revoked = await db.query(`UPDATE access_links l SET revoked_at = now() WHERE l.id = $1 AND ${OPEN}`, [id]);
  return revoked.rowCount === 1;
}
