import { onOneLine } from '@keen-gauge/core/printed-text';
import type { Photo } from '@keen-gauge/core/survey/photo';
import { Readable } from 'node:stream';
import type { Pool } from 'pg';
import { ZipFile } from 'yazl';
import { inFirm, type Actor } from '../db/firm-scope';
import { databasePictures, fullKey } from './picture-store';

/** A job's photographs as a zip that is written while it is read, one picture in memory at a time. */
export function photoZip(pool: Pool, asker: Actor, photos: readonly Photo[]): NodeJS.ReadableStream {
  const zip = new ZipFile();
  const lines = ['file\tcaption\ttaken by\ttaken at'];
  for (const [at, photo] of photos.entries()) {
    const name = pictureFileName(at, photo.caption ?? photo.fileName ?? '');
    lines.push([name, photo.caption ?? '', photo.takenBy ?? '', photo.takenAt ?? ''].map(onOneLine).join('\t'));
    zip.addReadStreamLazy(name, { compress: false }, (open) => {
      inFirm(pool, asker, (db) => databasePictures(db, asker.firmId).get(fullKey(photo.id))).then(
        (bytes) => {
          open(null, Readable.from([bytes ?? Buffer.alloc(0)]));
        },
        (error: unknown) => {
          open(error, Readable.from([]));
        },
      );
    });
  }
  zip.addBuffer(Buffer.from(`${lines.join('\n')}\n`), 'captions.txt');
  zip.end();
  return zip.outputStream;
}

/** `03-cut-out-close-up.jpg`: in order, and of letters every system takes. */
export function pictureFileName(at: number, words: string): string {
  const plain = words
    .replace(/\.\w{3,4}$/, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60);
  return `${String(at + 1).padStart(2, '0')}${plain === '' ? '' : `-${plain}`}.jpg`;
}
