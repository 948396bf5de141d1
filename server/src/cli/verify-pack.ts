/** `npm run -s verify-pack -- FILE.zip`: whether a pack is as it was signed. Exit status 0 it is, 1 it is not, 2 it cannot be told. */
import { promisify } from 'node:util';
import { buffer } from 'node:stream/consumers';
import { fromBuffer, type Entry, type ZipFile } from 'yauzl';
import { readFile } from 'node:fs/promises';
import { MANIFEST_NAME, manifestFaults, readManifest } from '../packs/manifest';

const USAGE = 'usage: npm run -s verify-pack -- FILE.zip';
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

async function verify(path: string): Promise<number> {
  const files = await openBundle(await readFile(path));
  const faults = manifestFaults(files);
  if (faults.length > 0) {
    for (const fault of faults) console.error(fault);
    console.error('Not as it was signed.');
    return 1;
  }
  const manifest = readManifest(files.get(MANIFEST_NAME)?.toString('utf8') ?? '');
  console.log(
    `${manifest?.number ?? '?'} is as it was signed by ${manifest?.signedBy ?? '?'} at ${manifest?.signedAt ?? '?'}: ` +
      `${manifest?.files.length ?? 0} files, fingerprint ${manifest?.fingerprint ?? '?'}`,
  );
  return 0;
}

/** Runs the command; its exit status. */
export async function verifyPack(args: readonly string[]): Promise<number> {
  const [path, ...more] = args;
  if (path === undefined || more.length > 0) {
    console.error(USAGE);
    return 2;
  }
  try {
    return await verify(path);
  } catch (error) {
    console.error(`${path}: cannot be read as a pack (${error instanceof Error ? error.message : 'error'}).`);
    return 2;
  }
}
