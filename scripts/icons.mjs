/** `npm run icons`: the application's icons as a device shows them, drawn from web/public/keen.svg. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { ROOT } from './machine/root.mjs';

const PUBLIC = join(ROOT, 'web/public');
const mark = readFileSync(join(PUBLIC, 'keen.svg'));
const GROUND = '#18222c';

const drawn = (size) => sharp(mark, { density: (72 * size) / 32 }).resize(size, size);

await drawn(192).png().toFile(join(PUBLIC, 'icon-192.png'));
await drawn(512).png().toFile(join(PUBLIC, 'icon-512.png'));
// A device cuts this one to a shape of its own: the mark keeps clear of the edge.
const inner = await drawn(336).png().toBuffer();
await sharp({ create: { width: 512, height: 512, channels: 4, background: GROUND } })
  .composite([{ input: inner, gravity: 'centre' }])
  .png()
  .toFile(join(PUBLIC, 'icon-maskable.png'));
