import { promisify } from 'node:util';
import { buffer } from 'node:stream/consumers';
import { fromBuffer, type Entry, type ZipFile } from 'yauzl';

/** Far more than any pack unpacks to; an archive made to fill a disk stops here. */
const MOST_BYTES = 1_000_000_000;

/** The files of an archive by name. Names that would leave its folder, and more than a pack can be, are refused. */
export async function openBundle(bytes: Buffer): Promise<Map<string, Buffer>> {
  const open = promisify<Buffer, { lazyEntries: true }, ZipFile>(fromBuffer);
  const zip = await open(bytes, { lazyEntries: true });
  const files = new Map<string, Buffer>();
  let total = 0;
  await new Promise<void>((resolve, reject) => {
    zip.on('error', reject);
    zip.on('end', resolve);
    zip.on('entry', (entry: Entry) => {
      total += entry.uncompressedSize;
      if (total > MOST_BYTES || files.has(entry.fileName)) {
        reject(
          new Error(total > MOST_BYTES ? 'it unpacks to more than a pack can be' : `${entry.fileName} is there twice`),
        );
        return;
      }
      zip.openReadStream(entry, (error, stream) => {
        if (error) {
          reject(error);
          return;
        }
        buffer(stream).then((content) => {
          files.set(entry.fileName, content);
          zip.readEntry();
        }, reject);
      });
    });
    zip.readEntry();
  });
  return files;
}
