import type { Pool, PoolClient } from 'pg';
import { inFirm } from '../db/firm-scope';
import { termsOf } from '../firm/queries';
import { packNumber } from '../jobs/numbers';
import { packById, packDocument } from '../packs/queries';
import { drawCustomerToken, linkById } from '../customer/queries';
import { quotationDocument } from '../quotations/document';
import { drawQuotationToken, quotationById, type Quotation } from '../quotations/queries';
import { drawToken } from '../people/access-links';
import { backOffS } from '../tasks/back-off';
import type { Handler } from '../tasks/worker';
import type { Mailer, Outgoing } from './mailer';
import { LINK, mailGivenUp, mailSent, waitingMail, type WaitingMail } from './queries';
import { htmlOf } from './words';

/** After so many tries, about a day, a mail is given up and says so. */
const MOST_TRIES = 100;
/** While its pack's document is being made. */
const SOON_S = 2;

/**
 * Sends a mail. Its Message-ID follows from its own id, so that one sent twice, because the first answer was lost, is one to whoever gets it. A link is drawn anew for each try, and only the
 * last opens anything: then each try is a mail of its own.
 */
export function sendMailHandler(pool: Pool, mailer: Mailer | undefined): Handler {
  return async ({ firmId, about: id, attempts }) => {
    if (!mailer) return { afterS: 60, trouble: 'There is no mail server in this server’s settings.' };
    const mail = await inFirm(pool, { firmId }, async (db) => {
      const waiting = await waitingMail(db, id);
      if (!waiting) return undefined;
      const link = await linkIn(db, firmId, waiting);
      if (link === 'shut') {
        await mailGivenUp(db, id, 'The link in it was used or revoked before it could be sent.');
        return undefined;
      }
      const pack = waiting.packId === null ? undefined : await packById(db, waiting.packId);
      const document = pack && (await packDocument(db, pack.id));
      const { contact } = await termsOf(db);
      return { ...waiting, link, pack, document, replyTo: contact?.email, quotation: await quotationIn(db, waiting) };
    });
    if (!mail) return 'done';
    if (mail.pack && !mail.document) return { afterS: SOON_S };
    const attached = await attachmentOf(pool, firmId, mail);
    const text = mail.link === undefined ? mail.body : mail.body.replace(LINK, `${mailer.publicUrl}/${mail.link.to}`);
    const outgoing: Outgoing = {
      messageId: `<${id}${mail.link === undefined ? '' : `.${attempts}`}@${new URL(mailer.publicUrl).hostname}>`,
      to: mail.to,
      replyTo: mail.replyTo,
      firm: mail.firm,
      subject: mail.subject,
      text,
      html: htmlOf(text),
      ...(attached ? { attachments: [{ ...attached, contentType: 'application/pdf' }] } : {}),
    };
    try {
      await mailer.send(outgoing);
    } catch (error) {
      const { responseCode } = error as { responseCode?: number };
      // Refused for good, by a server that was reached.
      const isForGood = responseCode !== undefined && responseCode >= 500;
      if (isForGood || attempts >= MOST_TRIES) {
        const trouble = isForGood
          ? `The mail server refused it (${responseCode}).`
          : 'The mail server could not be reached for a day.';
        await inFirm(pool, { firmId }, (db) => mailGivenUp(db, id, trouble));
        return 'done';
      }
      return { afterS: backOffS(attempts), trouble: 'The mail server did not take it.' };
    }
    await inFirm(pool, { firmId }, (db) => mailSent(db, id));
    return 'done';
  };
}

async function quotationIn(db: PoolClient, { quotationId }: WaitingMail): Promise<Quotation | undefined> {
  return quotationId === null ? undefined : quotationById(db, quotationId);
}

/** The document that goes with a mail: that of its pack, or of its quotation, made where it is not there yet. */
async function attachmentOf(
  pool: Pool,
  firmId: string,
  {
    pack,
    document,
    quotation,
  }: {
    readonly pack: { readonly number: number } | undefined;
    readonly document: Buffer | undefined;
    readonly quotation: Quotation | undefined;
  },
): Promise<{ readonly filename: string; readonly content: Buffer } | undefined> {
  if (pack && document) return { filename: `${packNumber(pack.number)}.pdf`, content: document };
  const content = quotation && (await quotationDocument(pool, firmId, quotation.id));
  return content && { filename: `${quotation.quote.number}.pdf`, content };
}

/** Where the link in a mail leads, drawn for this try; undefined where it has none, `shut` where it would open nothing. */
async function linkIn(
  db: PoolClient,
  firmId: string,
  { linkId, customerLinkId, quotationId }: WaitingMail,
): Promise<{ readonly to: string } | 'shut' | undefined> {
  if (linkId !== null) {
    const token = await drawToken(db, linkId);
    return token === undefined ? 'shut' : { to: `link#${token}` };
  }
  if (quotationId !== null) {
    const quotation = await quotationById(db, quotationId);
    if (quotation?.state !== 'sent') return 'shut';
    return { to: `c/quotation.html#${await drawQuotationToken(db, firmId, quotationId)}` };
  }
  if (customerLinkId === null) return undefined;
  const link = await linkById(db, customerLinkId);
  if (!link || link.revokedAt !== null || link.expiresAt < new Date()) return 'shut';
  return { to: `c/#${await drawCustomerToken(db, firmId, customerLinkId)}` };
}
