import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeJob, openPage } from './browser';
import { largeJpeg } from './jpeg';
import { quantile, report } from './report';

const COUNT = 24;
const BYTES = 2_500_000;

/** Signs off and waits for the archive; how long until it was answered, and until it was made, ms. */
async function signed(
  base: string,
  cookie: string,
  jobId: string,
  body: object,
): Promise<{ readonly fixedMs: number; readonly madeMs: number }> {
  const begun = performance.now();
  const answer = await fetch(`${base}/api/jobs/${jobId}/packs`, {
    method: 'POST',
    headers: { cookie, 'content-type': 'application/json', origin: base },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(`signing off answered ${answer.status}: ${await answer.text()}`);
  const fixedMs = performance.now() - begun;
  const { id } = (await answer.json()) as { id: string };
  const pdf = await fetch(`${base}/api/packs/${id}/notice.pdf`, { headers: { cookie } });
  if (!pdf.ok) throw new Error(`the document answered ${pdf.status}`);
  await pdf.arrayBuffer();
  return { fixedMs, madeMs: performance.now() - begun };
}

/** Saves a note on a job, whatever it says now; how long that took, ms. */
async function saveNote(base: string, cookie: string, jobId: string): Promise<number> {
  const head = await fetch(`${base}/api/jobs/${jobId}/survey`, { headers: { cookie } });
  const { revisionId, survey } = (await head.json()) as { revisionId: string; survey: { notes?: string } };
  const { notes } = survey;
  const change = { kind: 'set', path: ['notes'], ...(notes === undefined ? {} : { from: notes }), to: randomUUID() };
  const begun = performance.now();
  const saved = await fetch(`${base}/api/jobs/${jobId}/survey/revisions`, {
    method: 'POST',
    headers: { cookie, 'content-type': 'application/json', origin: base },
    body: JSON.stringify({ id: randomUUID(), parentId: revisionId, changes: [change] }),
  });
  if (!saved.ok) throw new Error(`saving answered ${saved.status}`);
  return performance.now() - begun;
}

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
    const fixed: number[] = [];
    const waits: number[] = [];
    const saves: number[] = [];
    for (let run = 0; run < 4; run += 1) {
      const { revisionId } = await get<{ revisionId: string }>(`/api/jobs/${jobId}/survey`);
      const state = { going: true };
      const made = signed(base, cookie, jobId, { id: randomUUID(), revisionId, reason: 'Bench.', reasons }).finally(
        () => (state.going = false),
      );
      for (let at = 0; state.going; at += 1) {
        const asked = performance.now();
        await get(['/api/me', '/api/jobs', `/api/jobs/${jobId}/survey`][at % 3] ?? '');
        waits.push(performance.now() - asked);
        if (at % 3 === 0) {
          saves.push(await saveNote(base, cookie, jobId));
        }
        await new Promise((resolve) => setTimeout(resolve, 20));
      }
      const { fixedMs, madeMs } = await made;
      fixed.push(fixedMs);
      times.push(madeMs);
    }
    report('signing off answered, longest', quantile(fixed, 1), 'ms', 250);
    report(
      `pack with ${COUNT} photographs of ${(bytes / COUNT / 1e6).toFixed(1)} MB made, median`,
      quantile(times.slice(1), 0.5) / 1000,
      's',
      3,
    );
    report('  another request meanwhile, 95th percentile', quantile(waits, 0.95), 'ms', 60);
    report('  the longest of them', quantile(waits, 1), 'ms', 250);
    report('  a save on the very job meanwhile, 95th percentile', quantile(saves, 0.95), 'ms', 60);
    report('  the longest of them', quantile(saves, 1), 'ms', 250);
  } finally {
    await close();
    rmSync(folder, { recursive: true, force: true });
  }
}
