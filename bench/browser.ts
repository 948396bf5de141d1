import { readFileSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import { BROWSER_ARGS } from '../scripts/machine/browser.mjs';

/** A signed-in page of the application under measurement, in the browser the journeys use; `pauseMs` is waited after every press, so that whoever drives does not look meanwhile. */
export async function openPage(
  base: string,
  pauseMs = 0,
): Promise<{
  page: Page;
  second: () => Promise<Page>;
  /** The memory the fullest of the browser's page processes has now, in megabytes. */
  memoryMb: () => Promise<number>;
  close: () => Promise<void>;
}> {
  const browser = await chromium.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    args: BROWSER_ARGS,
    slowMo: pauseMs,
  });
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, baseURL: base });
  const page = await context.newPage();
  await page.goto('/sign-in');
  await page.getByLabel('E-mail address').fill('maren@fennel.example');
  await page.getByLabel('Password').fill('keen-gauge-demo');
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await page.getByRole('heading', { name: 'Jobs' }).waitFor();
  const memoryMb = async (): Promise<number> => {
    const session = await browser.newBrowserCDPSession();
    const { processInfo } = await session.send('SystemInfo.getProcessInfo');
    const sizes = processInfo
      .filter(({ type }) => type === 'renderer')
      .map(({ id }) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${id}/status`, 'utf8'))?.[1] ?? 0) / 1000);
    return Math.max(0, ...sizes);
  };
  return { page, second: () => context.newPage(), memoryMb, close: () => browser.close() };
}

/** A job made through the API with the page's own session; its id. */
export async function makeJob(page: Page, place: string): Promise<string> {
  const id = crypto.randomUUID();
  const made = await page.request.post('/api/jobs', { data: { id, place, wanted: 'bench' } });
  if (!made.ok()) throw new Error(`making a job answered ${made.status()}`);
  return id;
}

/** The id of a demo job, however many others there are. */
export async function demoJob(page: Page, place: string): Promise<string> {
  const answer = await page.request.get(`/api/jobs?search=${encodeURIComponent(place)}&page=0`);
  const { jobs } = (await answer.json()) as { jobs: readonly { readonly id: string }[] };
  const [job] = jobs;
  if (!job) throw new Error(`there is no demo job ${place}`);
  return job.id;
}
