import { logLines } from '../standins/logger';
import { makeJob, openPage } from './browser';
import { quantile, report } from './report';

/** A year by the minute read and analysed in the page's worker, while the page goes on drawing. */
export async function benchLogPage(base: string): Promise<void> {
  const { page, memoryMb, close } = await openPage(base);
  try {
    const jobId = await makeJob(page, 'Bench log');
    const text = [...logLines({ dialect: 'plain', days: 365, seed: 2, from: '2025-01-01', everyS: 60 })].join('\n');
    await page.goto(`/jobs/${jobId}/loads`);
    await page.getByRole('button', { name: 'Import a log' }).click();
    await page
      .locator('[role=dialog] input[type=file]')
      .setInputFiles({ name: 'year.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
    const start = page.getByRole('button', { name: 'Read it like this' });
    await start.waitFor();
    const beforeMb = await memoryMb();
    let mostMb = 0;
    const watch = setInterval(() => {
      void memoryMb().then((now) => (mostMb = Math.max(mostMb, now)));
    }, 60);
    const { seconds, frames } = await start.evaluate(async (button) => {
      const frames: number[] = [];
      const begun = performance.now();
      let before = begun;
      (button as HTMLElement).click();
      while (!document.querySelector('[aria-label="Readings over time"]')) {
        await new Promise(requestAnimationFrame);
        const now = performance.now();
        frames.push(now - before);
        before = now;
      }
      return { seconds: (performance.now() - begun) / 1000, frames };
    });
    report('the same year from the press of the button to its charts, in the browser', seconds, 's', 1.5);
    // The last frames draw the charts; those before them are the page while the worker works.
    report('  the page’s frames meanwhile, 95th percentile', quantile(frames.slice(0, -3), 0.95), 'ms', 17.5);
    clearInterval(watch);
    report('  memory the page’s process takes on meanwhile, worker included', mostMb - beforeMb, 'MB', 350);
  } finally {
    await close();
  }
}
