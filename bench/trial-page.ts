import { demoJob, openPage } from './browser';
import { report } from './report';

/** The trial from the press of its button to its last household-year, in the browser's workers, and the memory it takes. */
export async function benchTrialPage(base: string): Promise<void> {
  const { page, memoryMb, close } = await openPage(base);
  try {
    await page.goto(`/jobs/${await demoJob(page, 'Larkrise')}/place`);
    await page.waitForURL(/\/jobs\//);
    await page.goto(`${/\/jobs\/[0-9a-f-]+/.exec(page.url())?.[0] ?? ''}/charger`);
    const start = page.getByRole('button', { name: 'Play the trial' });
    await start.waitFor();
    const beforeMb = await memoryMb();
    let mostMb = 0;
    const watch = setInterval(() => {
      void memoryMb().then((now) => (mostMb = Math.max(mostMb, now)));
    }, 60);
    const begun = performance.now();
    await start.click();
    await page.getByText(/^100 of 100 household-years/).waitFor({ timeout: 120_000 });
    report('100 household-years × 6 ways in the browser, drawn meanwhile', (performance.now() - begun) / 1000, 's', 6);
    clearInterval(watch);
    report('  memory the page’s process takes on meanwhile, workers included', mostMb - beforeMb, 'MB', 400);
  } finally {
    await close();
  }
}
