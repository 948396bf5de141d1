import type { PoolClient } from 'pg';
import type { Actor } from '../db/firm-scope';

/** What is entered of itself, in the transaction that does it: neither is there without the other. */
export const AUDITED = [
  'signed-off',
  'event-entered',
  'hold-overridden',
  'override-lifted',
  'basis-declared',
  'option-chosen',
  'charge-point-linked',
  'charge-point-let-go',
  'charge-point-asked',
  'equipment-changed',
  'terms-changed',
  'prices-changed',
  'schemes-changed',
  'quotation-made',
  'quotation-sent',
  'quotation-withdrawn',
  'hand-in-asked',
  'hand-in-stopped',
  'attachment-added',
  'checklists-changed',
  'rules-changed',
  // As it was called before; the record keeps what it has.
  'rule-pack-changed',
  'house-rules-changed',
  'feed-made',
  'feed-revoked',
  'job-assigned',
  'job-archived',
  'job-restored',
  'signed-in',
  'password-changed',
  'recovery-asked',
  'session-ended',
  'passkey-added',
  'passkey-removed',
  'person-invited',
  'person-joined',
  'person-changed',
  'person-ended',
  'person-returned',
  'access-link-made',
  'invitation-revoked',
  'mail-asked',
  'data-exported',
  'erasure-asked',
  'customer-asked',
  'customer-revoked',
  'customer-answer-taken',
  'customer-answer-set-aside',
  'customer-asked-again',
  'sign-in-failed',
  'sign-in-stopped',
] as const;
export type Audited = (typeof AUDITED)[number];

export interface AuditEntry {
  readonly id: number;
  readonly at: string;
  readonly by: string;
  readonly what: Audited;
  readonly details: Readonly<Record<string, unknown>>;
}

/** Enters who did what, to a job or to the firm as a whole. */
export async function audit(
  db: PoolClient,
  asker: Actor,
  jobId: string | null,
  what: Audited,
  details: Readonly<Record<string, unknown>> = {},
): Promise<void> {
  await db.query('INSERT INTO audit_entries (firm_id, job_id, person_id, what, details) VALUES ($1, $2, $3, $4, $5)', [
    asker.firmId,
    jobId,
    asker.personId,
    what,
    JSON.stringify(details),
  ]);
}

const COLUMNS = `a.id::float AS id, to_char(a.made_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') AS at,
  p.name AS by, a.what, a.details`;

/** The record of a job, oldest first. */
export async function auditOfJob(db: PoolClient, jobId: string): Promise<AuditEntry[]> {
  const found = await db.query<AuditEntry>(
    `SELECT ${COLUMNS} FROM audit_entries a JOIN people p ON p.id = a.person_id WHERE a.job_id = $1 ORDER BY a.id`,
    [jobId],
  );
  return found.rows;
}

/** The record of what concerns the firm as a whole, newest first; so many at most, or all. */
export async function auditOfFirm(db: PoolClient, most: number | null): Promise<AuditEntry[]> {
  const found = await db.query<AuditEntry>(
    `SELECT ${COLUMNS} FROM audit_entries a JOIN people p ON p.id = a.person_id
      WHERE a.job_id IS NULL ORDER BY a.id DESC LIMIT $1`,
    [most],
  );
  return found.rows;
}
