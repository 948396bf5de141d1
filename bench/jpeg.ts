import { randomBytes } from 'node:crypto';
import sharp from 'sharp';

/** A JPEG of about so many bytes, each another: noise over a soft ground, as detail from a telephone is. */
export async function largeJpeg(seed: number, bytesWanted = 8_000_000): Promise<Buffer> {
  const [width, height] = [4000, 3000];
  // The coarser the noise, the less there is to keep of it.
  const across = bytesWanted > 5_000_000 ? 1000 : 480;
  const raw = { width: across, height: across * 0.75, channels: 3 } as const;
  const noise = await sharp(randomBytes(raw.width * raw.height * 3), { raw })
    .resize(width, height, { kernel: 'nearest' })
    .composite([
      {
        input: { create: { width, height, channels: 3, background: { r: seed * 9, g: 120, b: 90 } } },
        blend: 'overlay',
      },
    ])
    .removeAlpha()
    .raw()
    .toBuffer();
  const encode = (quality: number): Promise<Buffer> =>
    sharp(noise, { raw: { width, height, channels: 3 } })
      .jpeg({ quality })
      .toBuffer();
  for (const quality of [96, 92, 86, 78, 68, 55, 40]) {
    const bytes = await encode(quality);
    if (bytes.length <= bytesWanted * 1.1) return bytes;
  }
  return encode(30);
}
