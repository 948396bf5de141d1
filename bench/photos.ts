import { randomBytes } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { makeJob, openPage } from './browser';
import { quantile, report } from './report';

const COUNT = 20;
const BYTES = 8_000_000;

/** A JPEG of about eight megabytes, each another: noise over a soft ground, as detail from a telephone is. */
async function largeJpeg(seed: number): Promise<Buffer> {
  const [width, height] = [4000, 3000];
  const noise = await sharp(randomBytes(1000 * 750 * 3), { raw: { width: 1000, height: 750, channels: 3 } })
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
    if (bytes.length <= BYTES * 1.1) return bytes;
  }
  return encode(30);
}

/** Twenty large photographs sent and filed with thumbnails, while somebody goes on typing. */
export async function benchPhotos(base: string): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'keen-gauge-bench-'));
  const { page, second, close } = await openPage(base);
  try {
    const files: string[] = [];
    let bytes = 0;
    for (let at = 0; at < COUNT; at += 1) {
      const picture = await largeJpeg(at);
      bytes += picture.length;
      const path = join(folder, `photo-${at}.jpg`);
      writeFileSync(path, picture);
      files.push(path);
    }
    const jobId = await makeJob(page, 'Bench photographs');
    await page.goto(`/jobs/${jobId}/photos`);
    await page.getByRole('heading', { name: 'Photographs', level: 1 }).waitFor();
    const start = performance.now();
    await page.locator('main input[type=file]').nth(1).setInputFiles(files);
    // A second page of the same person types meanwhile.
    const typist = await second();
    await typist.goto(`/jobs/${jobId}/place`);
    await typist.getByLabel('Town').waitFor();
    const typed: number[] = [];
    const done = page.waitForFunction((count) => document.querySelectorAll('main ul li img').length >= count, COUNT, {
      timeout: 120_000,
      polling: 100,
    });
    const state = { going: true };
    void done.finally(() => (state.going = false));
    while (state.going) {
      typed.push(
        await typist.getByLabel('Town').evaluate(async (element) => {
          const field = element as HTMLInputElement;
          const put = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value');
          const began = performance.now();
          put?.set?.call(field, `${field.value}x`.slice(-40));
          field.dispatchEvent(new Event('input', { bubbles: true }));
          await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0)));
          return performance.now() - began;
        }),
      );
      await new Promise((resolve) => setTimeout(resolve, 150));
    }
    await done;
    const seconds = (performance.now() - start) / 1000;
    report(
      `${COUNT} photographs, ${(bytes / COUNT / 1e6).toFixed(1)} MB each, sent and with thumbnails`,
      seconds,
      's',
      20,
    );
    report('  a key to its painted frame meanwhile, 95th percentile', quantile(typed, 0.95), 'ms', 100);
  } finally {
    await close();
    rmSync(folder, { recursive: true, force: true });
  }
}
