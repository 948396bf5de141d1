import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeJob, openPage } from './browser';
import { largeJpeg } from './jpeg';
import { quantile, report } from './report';

const COUNT = 24;
const BYTES = 2_500_000;

/** A survey with photographs as they come from a telephone signed off, while others go on asking for things. */
export async function benchPack(base: string): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'keen-gauge-bench-'));
  const { page, close } = await openPage(base);
  try {
    const files: string[] = [];
    let bytes = 0;
    for (let at = 0; at < COUNT; at += 1) {
      const path = join(folder, `photo-${at}.jpg`);
      const picture = await largeJpeg(at, BYTES);
      bytes += picture.length;
      writeFileSync(path, picture);
      files.push(path);
    }
    const jobId = await makeJob(page, 'Bench pack');
    await page.goto(`/jobs/${jobId}/photos`);
    await page.getByRole('heading', { name: 'Photographs', level: 1 }).waitFor();
    await page.locator('main input[type=file]').nth(1).setInputFiles(files);
    await page.waitForFunction((count) => document.querySelectorAll('main ul li img').length >= count, COUNT, {
      timeout: 120_000,
    });
    await page.goto('about:blank');
    const cookie = (await page.context().cookies()).map(({ name, value }) => `${name}=${value}`).join('; ');
    const get = async <T>(path: string): Promise<T> =>
      (await (await fetch(`${base}${path}`, { headers: { cookie } })).json()) as T;
    // What touches safety is answered for by itself: what that is the server says.
    const { revisionId: asItStands } = await get<{ revisionId: string }>(`/api/jobs/${jobId}/survey`);
    const refused = (await (
      await fetch(`${base}/api/jobs/${jobId}/packs`, {
        method: 'POST',
        headers: { cookie, 'content-type': 'application/json', origin: base },
        body: JSON.stringify({ revisionId: asItStands }),
      })
    ).json()) as { missing: { key: string; safety: boolean }[] };
    const reasons = refused.missing
      .filter(({ safety }) => safety)
      .map(({ key }) => ({ key, reason: 'For the bench alone.' }));
    const times: number[] = [];
    const waits: number[] = [];
    for (let run = 0; run < 4; run += 1) {
      const { revisionId } = await get<{ revisionId: string }>(`/api/jobs/${jobId}/survey`);
      const begun = performance.now();
      const made = fetch(`${base}/api/jobs/${jobId}/packs`, {
        method: 'POST',
        headers: { cookie, 'content-type': 'application/json', origin: base },
        body: JSON.stringify({ revisionId, reason: 'Bench.', reasons }),
      });
      const state = { going: true };
      void made.finally(() => (state.going = false));
      while (state.going) {
        const asked = performance.now();
        await get('/api/me');
        waits.push(performance.now() - asked);
        await new Promise((resolve) => setTimeout(resolve, 20));
      }
      const answer = await made;
      if (!answer.ok) throw new Error(`signing off answered ${answer.status}: ${await answer.text()}`);
      times.push(performance.now() - begun);
    }
    report(
      `pack with ${COUNT} photographs of ${(bytes / COUNT / 1e6).toFixed(1)} MB, median`,
      quantile(times.slice(1), 0.5) / 1000,
      's',
      3,
    );
    report('  another request meanwhile, 95th percentile', quantile(waits, 0.95), 'ms', 200);
    report('  the longest of them', quantile(waits, 1), 'ms', 500);
  } finally {
    await close();
    rmSync(folder, { recursive: true, force: true });
  }
}
