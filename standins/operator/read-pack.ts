/** Reading a pack as an operator would: its archive opened, every sum in its manifest checked, and a few facts looked up. */
import { createHash } from 'node:crypto';
import { buffer } from 'node:stream/consumers';
import { promisify } from 'node:util';
import { fromBuffer, type Entry, type ZipFile } from 'yauzl';
import type { ReadPack } from './desk';

const MOST_BYTES = 300_000_000;

/** The facts of a pack, or what is wrong with it. */
export async function readPack(bytes: Buffer): Promise<{ pack: ReadPack } | { faults: string[] }> {
  const files = await filesOf(bytes).catch(() => null);
  if (!files) return { faults: ['It cannot be opened as an archive.'] };
  const manifest = jsonOf(files.get('manifest.json'));
  if (manifest?.['format'] !== 'keen-gauge-pack' || !Array.isArray(manifest['files']))
    return { faults: ['It has no manifest.json of a pack.'] };
  const faults = (manifest['files'] as { name: string; sha256: string }[]).flatMap(({ name, sha256 }) => {
    const file = files.get(name);
    if (!file) return [`${name} is missing.`];
    return createHash('sha256').update(file).digest('hex') === sha256 ? [] : [`${name} is not what its sum says.`];
  });
  if (faults.length > 0) return { faults };
  return { pack: factsOf(manifest, jsonOf(files.get('survey.json')), jsonOf(files.get('assessment.json'))) };
}

type Json = Record<string, unknown>;

function factsOf(manifest: Json, survey: Json | null, assessment: Json | null): ReadPack {
  const place = part(survey, 'place');
  const supply = part(assessment, 'supply');
  const after = Object.values(part(part(assessment, 'demand'), 'afterManaged')) as { value?: number | null }[];
  const values = after.map(({ value }) => value ?? null);
  const asked = (assessment?.['findings'] ?? []) as { grade?: string; ownUse?: boolean }[];
  return {
    number: String(manifest['number']),
    title: String(manifest['title']),
    site: [place['addressLine1'], place['town'], place['postcode']].filter(Boolean).join(', '),
    fingerprint: String(manifest['fingerprint']),
    looped: supply['loop'] === 'looped',
    ratingEstablished: supply['ratingEstablished'] === true,
    missing: asked.filter(({ grade, ownUse }) => grade === 'ask' && !ownUse).length,
    afterA: values.includes(null) ? null : Math.max(0, ...values.map((value) => value ?? 0)),
    ratingA: (part(supply, 'rating')['value'] as number | null | undefined) ?? null,
  };
}

function part(of: Json | null, name: string): Json {
  const found = of?.[name];
  return typeof found === 'object' && found !== null ? (found as Json) : {};
}

function jsonOf(bytes: Buffer | undefined): Json | null {
  try {
    return JSON.parse(bytes?.toString('utf8') ?? '') as Json;
  } catch {
    return null;
  }
}

async function filesOf(bytes: Buffer): Promise<Map<string, Buffer>> {
  const open = promisify<Buffer, { lazyEntries: true }, ZipFile>(fromBuffer);
  const zip = await open(bytes, { lazyEntries: true });
  const files = new Map<string, Buffer>();
  let total = 0;
  return new Promise((resolve, reject) => {
    zip.on('error', reject);
    zip.on('end', () => {
      resolve(files);
    });
    zip.on('entry', (entry: Entry) => {
      total += entry.uncompressedSize;
      if (total > MOST_BYTES) {
        reject(new Error('too large'));
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
}
