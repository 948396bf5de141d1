import { createHash } from 'node:crypto';

export const MANIFEST_NAME = 'manifest.json';

/** One file of a pack: its name, how long it is and its SHA-256 in hexadecimal. */
export interface ManifestFile {
  readonly name: string;
  readonly bytes: number;
  readonly sha256: string;
}

/** What a pack holds, and of what survey it was made. */
export interface Manifest {
  readonly format: 'keen-gauge-pack';
  readonly version: 1;
  readonly number: string;
  readonly job: string;
  readonly title: string;
  readonly signedBy: string;
  readonly signedAt: string;
  /** SHA-256 of survey.json: the fingerprint printed on every page. */
  readonly fingerprint: string;
  readonly files: readonly ManifestFile[];
}

export interface PackedFile {
  readonly name: string;
  readonly bytes: Buffer;
}

export function sha256(bytes: Buffer): string {
  return createHash('sha256').update(bytes).digest('hex');
}

/** The manifest of files at hand and of others whose sums are known. */
export function manifestOf(
  about: Omit<Manifest, 'format' | 'version' | 'files'>,
  files: readonly PackedFile[],
  others: readonly ManifestFile[] = [],
): Manifest {
  return {
    format: 'keen-gauge-pack',
    version: 1,
    ...about,
    files: [...files.map(({ name, bytes }) => ({ name, bytes: bytes.length, sha256: sha256(bytes) })), ...others],
  };
}

/** Everything in which an opened pack differs from its manifest, a line each; empty where it is as it was signed. */
export function manifestFaults(files: ReadonlyMap<string, Buffer>): string[] {
  const text = files.get(MANIFEST_NAME)?.toString('utf8');
  if (text === undefined) return [`${MANIFEST_NAME}: is not there`];
  const manifest = readManifest(text);
  if (!manifest) return [`${MANIFEST_NAME}: is not one of ours`];
  const faults = manifest.files.flatMap(({ name, bytes, sha256: sum }) => {
    const found = files.get(name);
    if (!found) return [`${name}: is missing`];
    if (found.length !== bytes) return [`${name}: is ${found.length} bytes, not ${bytes}`];
    return sha256(found) === sum ? [] : [`${name}: has been changed`];
  });
  const listed = new Set([MANIFEST_NAME, ...manifest.files.map(({ name }) => name)]);
  for (const name of files.keys()) if (!listed.has(name)) faults.push(`${name}: does not belong to it`);
  const survey = files.get('survey.json');
  if (survey && sha256(survey) !== manifest.fingerprint)
    faults.push('survey.json: is not the survey whose fingerprint is printed');
  return faults;
}

/** A manifest from its text, or null where it is none. */
export function readManifest(text: string): Manifest | null {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return null;
  }
  if (typeof value !== 'object' || value === null) return null;
  const { format, version, files, fingerprint, number } = value as Record<string, unknown>;
  const good =
    format === 'keen-gauge-pack' &&
    version === 1 &&
    typeof fingerprint === 'string' &&
    typeof number === 'string' &&
    Array.isArray(files) &&
    files.every((file: unknown) => {
      const { name, bytes, sha256: sum } = (file ?? {}) as Record<string, unknown>;
      return typeof name === 'string' && typeof bytes === 'number' && typeof sum === 'string';
    });
  return good ? (value as Manifest) : null;
}
