import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeJob, openPage } from './browser';
import { largeJpeg } from './jpeg';
import { quantile, report } from './report';

const COUNT = 20;
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
