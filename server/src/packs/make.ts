import type { PackContent } from '@keen-gauge/core/pack/compose';
import type { Survey } from '@keen-gauge/core/survey/survey';
import type { Pool } from 'pg';
import { inFirm } from '../db/firm-scope';
import { heavy } from '../heavy/threads';
import { packNumber } from '../jobs/numbers';
import { packPictures } from '../photos/packed';
import { printedPictures } from '../photos/printed';
import type { Making } from './make-files';
import { insertPackFiles } from './queries';

/**
 * Makes the files of a signed pack and stores them, once. No transaction is open while they are made; done twice it stores what is there already.
 */
export async function makePack(pool: Pool, firmId: string, packId: string): Promise<void> {
  const signed = await inFirm(pool, { firmId }, async (db) => {
    const found = await db.query<{
      number: number;
      fingerprint: string;
      survey: string;
      content: PackContent;
      making: Making | null;
    }>(
      `SELECT k.number, k.fingerprint, k.survey, k.content, k.making FROM packs k
        WHERE k.id = $1 AND NOT EXISTS (SELECT 1 FROM pack_files f WHERE f.pack_id = k.id)`,
      [packId],
    );
    return found.rows[0];
  });
  // Made before, by whoever: nothing is left to do.
  if (!signed?.making) return;
  const { number, fingerprint, survey: surveyText, content, making } = signed;
  const { photos } = JSON.parse(surveyText) as Pick<Survey, 'photos'>;
  const printed = await printedPictures(pool, firmId, content.photos);
  const packed = await inFirm(pool, { firmId }, (db) => packPictures(db, photos));
  const made = await heavy('makePackFiles', {
    ...making,
    number: packNumber(number),
    fingerprint,
    surveyText,
    content,
    printed: [...printed],
    ...packed,
  });
  await inFirm(pool, { firmId }, (db) =>
    insertPackFiles(db, firmId, {
      packId,
      pdf: Buffer.from(made.pdf),
      bundle: Buffer.from(made.bundle),
      pictures: packed.pictures.map(({ name, key }) => ({ name, key })),
    }),
  );
}
