import { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import type { Pool } from 'pg';
import { ZipFile } from 'yazl';
import { inFirm, type Actor } from '../db/firm-scope';
import { databasePictures } from '../photos/picture-store';
import { MANIFEST_NAME, manifestOf, type Manifest, type ManifestFile, type PackedFile } from './manifest';
import { openBundle } from './open-bundle';

/** A photograph of a pack: kept once, with the survey, and put in its place when the archive is taken. */
export interface PackedPicture extends ManifestFile {
  readonly key: string;
}

/** The archive of a pack without its photographs and what else is kept `apart`, which its manifest lists all the same; all dated when it was signed. */
export async function packBundle(
  about: Omit<Manifest, 'format' | 'version' | 'files'>,
  files: readonly PackedFile[],
  pictures: readonly PackedPicture[] = [],
  apart: readonly PackedFile[] = [],
): Promise<Buffer> {
  const zip = new ZipFile();
  const sums = pictures.map(({ name, bytes, sha256 }) => ({ name, bytes, sha256 }));
  const manifest = Buffer.from(`${JSON.stringify(manifestOf(about, [...apart, ...files], sums), null, 2)}\n`);
  for (const { name, bytes } of [{ name: MANIFEST_NAME, bytes: manifest }, ...files])
    put(zip, name, bytes, about.signedAt);
  zip.end();
  return buffer(streamOf(zip));
}

/** A stored archive. */
export interface StoredBundle {
  readonly bundle: Buffer;
  readonly pdf: PackedFile;
  readonly pictures: readonly { readonly name: string; readonly key: string }[];
  readonly signedAt: Date;
}

/**
 * The whole archive, photographs and all, written while it is read, one photograph in memory at a time; the same bytes each time, since
 * pictures never change.
 */
export async function wholeBundle(
  pool: Pool,
  { firmId }: Pick<Actor, 'firmId'>,
  { bundle, pdf, pictures, signedAt }: StoredBundle,
): Promise<Readable> {
  // One that cannot be opened is handed out as it is: whoever checks it says so.
  const kept = await openBundle(bundle).catch(() => null);
  // One signed when archives were kept whole.
  if (!kept || (kept.has(pdf.name) && pictures.length === 0)) return Readable.from([bundle]);
  const zip = new ZipFile();
  for (const [name, bytes] of kept) {
    put(zip, name, bytes, signedAt);
    if (name === MANIFEST_NAME && !kept.has(pdf.name)) put(zip, pdf.name, pdf.bytes, signedAt);
  }
  for (const { name, key } of pictures)
    zip.addReadStreamLazy(name, { mtime: new Date(signedAt), compress: false }, (open) => {
      inFirm(pool, { firmId }, (db) => databasePictures(db, firmId).get(key)).then(
        (bytes) => {
          open(bytes ? null : new Error(`${name} is not kept`), Readable.from([bytes ?? Buffer.alloc(0)]));
        },
        (error: unknown) => {
          open(error, Readable.from([]));
        },
      );
    });
  zip.end();
  return streamOf(zip);
}

function put(zip: ZipFile, name: string, bytes: Buffer, signedAt: string | Date): void {
  // Pictures and documents are packed already.
  zip.addBuffer(bytes, name, { mtime: new Date(signedAt), compress: !/\.(jpg|pdf)$/.test(name) });
}

/** What the archive writes; an error while it is put together ends the reading with it. */
function streamOf(zip: ZipFile): Readable {
  // A stream of Node’s own, whatever its types say.
  const stream = zip.outputStream as unknown as Readable;
  zip.on('error', (error: Error) => stream.destroy(error));
  return stream;
}
