import exifReader from 'exif-reader';
import sharp, { type Sharp } from 'sharp';

/** A picture as it is kept: upright, without metadata, encoded anew; and a small one for lists. */
export interface Picture {
  readonly full: Buffer;
  readonly thumb: Buffer;
  readonly widthPx: number;
  readonly heightPx: number;
  /** When the camera says it was taken, in its own local time, where it says. */
  readonly takenAt: Date | null;
}

/** Why a file cannot be taken in, in a sentence for the person who chose it. */
export class PictureFault extends Error {}

/** As much as a telephone's camera makes; a small file that unfolds into more is a trap. Unfolded, this is two hundred megabytes. */
const MOST_PIXELS = 64_000_000;
const LONGEST_SIDE = 4096;
const THUMB_SIDE = 480;

// Decoding has threads of its own, of which there are four at most; each picture keeps to one, and none is kept.
sharp.concurrency(1);
sharp.cache(false);

type Kind = { readonly name: string; readonly taken: boolean; readonly starts: (bytes: Buffer) => boolean };

const ascii = (bytes: Buffer, from: number, to: number): string => bytes.toString('latin1', from, to);

/** Kinds told by their first bytes, whatever the file is called. */
const KINDS: readonly Kind[] = [
  { name: 'JPEG', taken: true, starts: (bytes) => bytes[0] === 0xff && bytes[1] === 0xd8 },
  { name: 'PNG', taken: true, starts: (bytes) => ascii(bytes, 0, 8) === '\x89PNG\r\n\x1a\n' },
  { name: 'WebP', taken: true, starts: (bytes) => ascii(bytes, 0, 4) === 'RIFF' && ascii(bytes, 8, 12) === 'WEBP' },
  { name: 'HEIC', taken: false, starts: (bytes) => /^ftyp(heic|heix|mif1|msf1|hevc)/.test(ascii(bytes, 4, 12)) },
  { name: 'AVIF', taken: false, starts: (bytes) => ascii(bytes, 4, 12) === 'ftypavif' },
  { name: 'GIF', taken: false, starts: (bytes) => ascii(bytes, 0, 4) === 'GIF8' },
  { name: 'TIFF', taken: false, starts: (bytes) => /^(II\*\0|MM\0\*)/.test(ascii(bytes, 0, 4)) },
  { name: 'PDF', taken: false, starts: (bytes) => ascii(bytes, 0, 4) === '%PDF' },
  { name: 'SVG', taken: false, starts: (bytes) => /^\s*<(\?xml|svg)/.test(ascii(bytes, 0, 64)) },
  { name: 'BMP', taken: false, starts: (bytes) => ascii(bytes, 0, 2) === 'BM' },
];

/**
 * The picture in a file: turned the way the camera was held, metadata (place included) left behind, no side longer than
 * 4096 pixels. Throws `PictureFault` for anything that is not a whole JPEG, PNG or WebP of a sane size.
 */
export async function readPicture(bytes: Buffer): Promise<Picture> {
  const kind = KINDS.find(({ starts }) => starts(bytes));
  if (!kind) throw new PictureFault('This is not a picture. JPEG, PNG and WebP are taken.');
  if (!kind.taken) {
    const hint = kind.name === 'HEIC' ? ' Set the camera to its most compatible format, or send it as JPEG.' : '';
    throw new PictureFault(`${kind.name} files are not taken: JPEG, PNG and WebP are.${hint}`);
  }
  try {
    const open = (): Sharp =>
      sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'truncated', sequentialRead: true })
        .rotate()
        .flatten({ background: '#ffffff' });
    const exif = (await sharp(bytes, { limitInputPixels: MOST_PIXELS }).metadata()).exif;
    const { data: full, info } = await open()
      .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 86 })
      .toBuffer({ resolveWithObject: true });
    const thumb = await sharp(full)
      .resize({ width: THUMB_SIDE, height: THUMB_SIDE, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 74 })
      .toBuffer();
    return { full, thumb, widthPx: info.width, heightPx: info.height, takenAt: takenAt(exif) };
  } catch (error) {
    throw new PictureFault(words(kind.name, error instanceof Error ? error.message : ''), { cause: error });
  }
}

function words(kind: string, message: string): string {
  if (/pixel limit/i.test(message))
    return `This ${kind} unfolds into more than ${MOST_PIXELS / 1_000_000} million pixels, which is not taken.`;
  if (/premature|truncated|unexpected end|end of/i.test(message))
    return `This ${kind} is cut off: part of it is missing. Take it again, or copy the file again.`;
  return `This ${kind} is damaged and cannot be read. Take it again, or copy the file again.`;
}

function takenAt(exif: Buffer | undefined): Date | null {
  if (!exif) return null;
  try {
    const when = exifReader(exif).Photo?.DateTimeOriginal;
    return when instanceof Date && Number.isFinite(when.getTime()) ? when : null;
  } catch {
    // Unreadable metadata is no reason to refuse the picture.
    return null;
  }
}

/** A picture out of a file, or why it cannot be taken: for a thread, out of which no error comes as the kind it was. */
export async function pictureOf(bytes: Uint8Array): Promise<Picture | { readonly fault: string }> {
  try {
    return await readPicture(Buffer.from(bytes));
  } catch (error) {
    if (error instanceof PictureFault) return { fault: error.message };
    throw error;
  }
}

/** More than this a printed page does not show. */
const PRINTED_SIDE = 1400;

/** A kept picture brought down to what paper shows; one that has been is only measured. */
export async function printedOf({
  bytes,
  asItIs,
}: {
  readonly bytes: Uint8Array;
  readonly asItIs: boolean;
}): Promise<{ readonly bytes: Uint8Array; readonly width: number; readonly height: number }> {
  if (asItIs) {
    const { width, height } = await sharp(bytes).metadata();
    return { bytes, width, height };
  }
  const { data, info } = await sharp(bytes)
    .resize({ width: PRINTED_SIDE, height: PRINTED_SIDE, fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 80 })
    .toBuffer({ resolveWithObject: true });
  return { bytes: data, width: info.width, height: info.height };
}
