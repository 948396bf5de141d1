import { randomUUID as newId } from 'node:crypto';
import { Readable } from 'node:stream';
import { Upload } from '@tus/server';
import type { Pool } from 'pg';
import sharp from 'sharp';
import type { Actor } from '../db/firm-scope';
import { filePhoto, type AboutPhoto } from '../photos/file-photo';
import { UploadStore } from '../photos/upload-store';

/** A picture of the demo: one of our own drawings, in place of a photograph. */
export interface DemoPicture {
  readonly drawing: keyof typeof DRAWINGS;
  readonly by: number;
  readonly about: AboutPhoto;
}

const backboard =
  '<rect width="1200" height="900" fill="#b79a74"/><g stroke="#a3855f" stroke-width="3"><path d="M0 210H1200M0 450H1200M0 700H1200"/></g>';

const cutOut = (carrier: string, more = ''): string => `${backboard}
  <path d="M560 900V640M640 900V640" stroke="#2c2c2e" stroke-width="70"/>
  <rect x="430" y="300" width="340" height="360" rx="22" fill="#3c3d40" stroke="#26272a" stroke-width="8"/>
  <rect x="490" y="250" width="220" height="230" rx="14" fill="${carrier}" stroke="#1f2022" stroke-width="6"/>
  <rect x="530" y="330" width="140" height="74" fill="#f4efe0"/>
  ${more}
  <circle cx="720" cy="500" r="20" fill="#c8c2ae" stroke="#55534a" stroke-width="5"/>
  <path d="M540 250V60M660 250V60" stroke="#8a2b22" stroke-width="34"/>`;

/** Drawings of our own of things that never were. */
const DRAWINGS = {
  'cut-out': cutOut(
    '#55575c',
    '<text x="600" y="381" font-size="40" font-weight="bold" text-anchor="middle" fill="#20242a" font-family="sans-serif">100 A</text>',
  ),
  'cut-out-80': cutOut(
    '#4c5156',
    '<text x="600" y="381" font-size="40" font-weight="bold" text-anchor="middle" fill="#20242a" font-family="sans-serif">80 A</text>',
  ),
  'charger-wall': `<rect width="1200" height="900" fill="#a9563f"/>
    <g stroke="#d9c6b4" stroke-width="7" fill="none">${[0, 1, 2, 3, 4, 5, 6, 7, 8, 9].map((row) => `<path d="M0 ${row * 80}H1200${[0, 1, 2, 3, 4, 5, 6, 7].map((brick) => `M${brick * 170 + (row % 2) * 85} ${row * 80}v80`).join('')}"/>`).join('')}</g>
    <rect y="800" width="1200" height="100" fill="#8d8f8c"/>
    <rect x="700" y="150" width="500" height="650" fill="#e8e6df" stroke="#5d5d58" stroke-width="8"/>
    <path d="M700 310H1200M700 470H1200M700 630H1200" stroke="#b9b7af" stroke-width="8"/>
    <rect x="400" y="370" width="170" height="230" fill="none" stroke="#fff7c9" stroke-width="8" stroke-dasharray="26 16"/>
    <path d="M360 800V370M345 370h30M345 800h30" stroke="#fff7c9" stroke-width="6"/>
    <text x="340" y="600" font-size="44" text-anchor="end" fill="#fff7c9" font-family="sans-serif" font-weight="bold">1.1 m</text>`,
  scorched: cutOut(
    '#6b4326',
    '<ellipse cx="560" cy="300" rx="70" ry="52" fill="#2a1708" opacity="0.85"/><path d="M520 250q30 -90 70 -150" stroke="#4a2f18" stroke-width="26" fill="none" opacity="0.7"/>',
  ),
  'meter-position': `${backboard}
    <rect x="470" y="120" width="280" height="330" rx="16" fill="#dfe3e4" stroke="#5a6064" stroke-width="7"/>
    <rect x="520" y="180" width="180" height="70" fill="#bccab4" stroke="#5a6064" stroke-width="4"/>
    <rect x="180" y="520" width="170" height="200" rx="12" fill="#3c3d40"/>
    <rect x="520" y="560" width="170" height="150" rx="10" fill="#ececec" stroke="#666" stroke-width="6"/>
    <path d="M265 520V330H470M610 450V560M690 640H1000V300" stroke="#6d6f73" stroke-width="26" fill="none"/>
    <rect x="920" y="120" width="200" height="190" rx="10" fill="#f4f4f1" stroke="#777" stroke-width="6"/>`,
  board: `<rect width="1200" height="900" fill="#e6e0d4"/>
    <rect x="170" y="220" width="860" height="430" rx="18" fill="#f7f6f2" stroke="#73726c" stroke-width="9"/>
    <rect x="230" y="330" width="740" height="200" fill="#d4d2ca"/>
    ${[0, 1, 2, 3, 4, 5, 6, 7, 8, 9].map((way) => `<rect x="${242 + way * 72}" y="346" width="62" height="168" rx="6" fill="${way > 7 ? '#efede6' : '#3a4047'}"/>`).join('')}
    ${[0, 1, 2, 3, 4, 5, 6, 7].map((way) => `<rect x="${262 + way * 72}" y="396" width="22" height="50" fill="#c9ced2"/>`).join('')}`,
} as const;

/** A drawing as a file, as a camera would give it. */
export function drawingJpeg(drawing: DemoPicture['drawing']): Promise<Buffer> {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="900">${DRAWINGS[drawing]}</svg>`;
  return sharp(Buffer.from(svg)).jpeg({ quality: 90 }).toBuffer();
}

/** Hands a demo picture in the way a person would: as a file that arrives, is made upright and entered in the survey. */
export async function handIn(pool: Pool, asker: Actor, jobId: string, picture: DemoPicture): Promise<void> {
  const bytes = await drawingJpeg(picture.drawing);
  const store = new UploadStore(pool, asker, jobId);
  const id = newId();
  await store.create(new Upload({ id, size: bytes.length, offset: 0 }));
  await store.write(Readable.from([bytes]), id, 0);
  await filePhoto(pool, asker, jobId, id, { ...picture.about, fileName: `${picture.drawing}.jpg` });
}
