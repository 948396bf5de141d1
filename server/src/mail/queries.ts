import type { PoolClient } from 'pg';
import { askFor } from '../tasks/queue';

export const MAIL_KINDS = ['invitation', 'recovery', 'to-operator', 'to-customer', 'reminder'] as const;
export type MailKind = (typeof MAIL_KINDS)[number];

export interface NewMail {
  readonly id: string;
  readonly kind: MailKind;
  readonly to: string;
  readonly subject: string;
  /** The words; `LINK` stands where the link is put when it is sent. */
  readonly body: string;
  readonly jobId?: string;
  readonly linkId?: string;
  readonly customerLinkId?: string;
  readonly packId?: string;
  readonly quotationId?: string;
  readonly madeBy: string | null;
  /** Kept and not sent. */
  readonly draft?: boolean;
  /** What it reminds of: written once, however often it is looked for. */
  readonly about?: string;
}

/** Where a link is put in at the moment of sending: what opens something is stored nowhere. */
export const LINK = '{link}';

/** Puts a mail into the queue, in the transaction that makes it needed. */
export async function queueMail(db: PoolClient, firmId: string, mail: NewMail): Promise<void> {
  const {
    id,
    kind,
    to,
    subject,
    body,
    jobId,
    linkId,
    customerLinkId,
    packId,
    quotationId,
    madeBy,
    draft = false,
    about,
  } = mail;
  const queued = await db.query(
    `INSERT INTO mails (id, firm_id, kind, job_id, link_id, pack_id, to_address, subject, body, state, made_by, customer_link_id, about, quotation_id)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14) ON CONFLICT (firm_id, about) DO NOTHING`,
    [
      id,
      firmId,
      kind,
      jobId ?? null,
      linkId ?? null,
      packId ?? null,
      to,
      subject,
      body,
      draft ? 'draft' : 'waiting',
      madeBy,
      customerLinkId ?? null,
      about ?? null,
      quotationId ?? null,
    ],
  );
  if (!draft && queued.rowCount === 1)
    await askFor(db, { firmId, ...(madeBy === null ? {} : { personId: madeBy }) }, 'send-mail', id);
}

/** Sends a draft after all; false where it is none. */
export async function sendDraft(db: PoolClient, firmId: string, id: string): Promise<boolean> {
  const sent = await db.query("UPDATE mails SET state = 'waiting' WHERE id = $1 AND state = 'draft'", [id]);
  if (sent.rowCount !== 1) return false;
  await askFor(db, { firmId }, 'send-mail', id);
  return true;
}

/** A mail that is to be sent. */
export interface WaitingMail {
  readonly id: string;
  readonly to: string;
  readonly subject: string;
  readonly body: string;
  readonly linkId: string | null;
  readonly customerLinkId: string | null;
  readonly packId: string | null;
  readonly quotationId: string | null;
  readonly firm: string;
}

export async function waitingMail(db: PoolClient, id: string): Promise<WaitingMail | undefined> {
  const found = await db.query<WaitingMail>(
    `SELECT m.id, m.to_address AS "to", m.subject, m.body, m.link_id AS "linkId", m.customer_link_id AS "customerLinkId", m.pack_id AS "packId", m.quotation_id AS "quotationId", f.name AS firm
       FROM mails m JOIN firms f ON f.id = m.firm_id WHERE m.id = $1 AND m.state = 'waiting'`,
    [id],
  );
  return found.rows[0];
}

export async function mailSent(db: PoolClient, id: string): Promise<void> {
  await db.query("UPDATE mails SET state = 'sent', sent_at = now(), trouble = NULL WHERE id = $1", [id]);
}

/** Sent no more, and why. */
export async function mailGivenUp(db: PoolClient, id: string, trouble: string): Promise<void> {
  await db.query("UPDATE mails SET state = 'given-up', trouble = $2 WHERE id = $1", [id, trouble]);
}

/** A mail as it stands on a job’s record. */
export interface JobMail {
  readonly id: string;
  readonly kind: MailKind;
  readonly to: string;
  readonly subject: string;
  readonly body: string;
  readonly packNumber: number | null;
  readonly state: 'draft' | 'waiting' | 'sent' | 'given-up';
  readonly trouble: string | null;
  readonly madeBy: string | null;
  readonly madeAt: Date;
  readonly sentAt: Date | null;
}

/** Everything mailed about a job, newest first. */
export async function mailsOfJob(db: PoolClient, jobId: string): Promise<JobMail[]> {
  const found = await db.query<JobMail>(
    `SELECT m.id, m.kind, m.to_address AS "to", m.subject, m.body, k.number AS "packNumber", m.state, m.trouble,
            p.name AS "madeBy", m.made_at AS "madeAt", m.sent_at AS "sentAt"
       FROM mails m LEFT JOIN people p ON p.id = m.made_by LEFT JOIN packs k ON k.id = m.pack_id
      WHERE m.job_id = $1 ORDER BY m.made_at DESC`,
    [jobId],
  );
  return found.rows;
}
