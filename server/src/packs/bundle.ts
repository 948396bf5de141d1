import { buffer } from 'node:stream/consumers';
import { ZipFile } from 'yazl';
import { MANIFEST_NAME, manifestOf, type Manifest, type PackedFile } from './manifest';

/** The archive of a pack: its files and the manifest of their sums, all dated when it was signed, so that it is made the same again. */
export async function packBundle(
  about: Omit<Manifest, 'format' | 'version' | 'files'>,
  files: readonly PackedFile[],
): Promise<Buffer> {
  const zip = new ZipFile();
  const mtime = new Date(about.signedAt);
  const manifest = Buffer.from(`${JSON.stringify(manifestOf(about, files), null, 2)}\n`);
  for (const { name, bytes } of [{ name: MANIFEST_NAME, bytes: manifest }, ...files])
    // Pictures and documents are packed already.
    zip.addBuffer(bytes, name, { mtime, compress: !/\.(jpg|pdf)$/.test(name) });
  zip.end();
  return buffer(zip.outputStream as NodeJS.ReadableStream & AsyncIterable<Buffer>);
}
