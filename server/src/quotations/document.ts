import type { Pool } from 'pg';
import { inFirm } from '../db/firm-scope';
import { heavy } from '../heavy/threads';
import { printedPictures } from '../photos/printed';
import { documentOf, quotationById, storeDocument, type Quotation } from './queries';

/** The document of a quotation, made in a thread with no transaction open the first time somebody asks, and stored. */
export async function quotationDocument(pool: Pool, firmId: string, id: string): Promise<Buffer | undefined> {
  const known = await inFirm(
    pool,
    { firmId },
    async (db): Promise<Buffer | Quotation | undefined> => (await documentOf(db, id)) ?? (await quotationById(db, id)),
  );
  if (known === undefined || Buffer.isBuffer(known)) return known;
  const { quote, fingerprint, madeAt } = known;
  const printed = await printedPictures(pool, firmId, quote.pictures);
  const pdf = Buffer.from(
    await heavy('quotationPdf', { quote, fingerprint, at: madeAt.toISOString(), printed: [...printed] }),
  );
  await inFirm(pool, { firmId }, (db) => storeDocument(db, firmId, id, pdf));
  return pdf;
}
