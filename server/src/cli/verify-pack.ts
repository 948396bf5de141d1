/** `npm run -s verify-pack -- FILE.zip`: whether a pack is as it was signed. Exit status 0 it is, 1 it is not, 2 it cannot be told. */
import { readFile } from 'node:fs/promises';
import { MANIFEST_NAME, manifestFaults, readManifest } from '../packs/manifest';
import { openBundle } from '../packs/open-bundle';

const USAGE = 'usage: npm run -s verify-pack -- FILE.zip';
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
