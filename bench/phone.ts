import { chromium } from '@playwright/test';
import { BROWSER_ARGS } from '../scripts/machine/browser.mjs';
import { demoJob } from './browser';
import { quantile, report } from './report';
import { benchKeys } from './typing';

/** A telephone four times slower than this machine, at 1.6 Mbit/s with 150 ms there and back. */
const SLOWER = 4;
const NETWORK = { offline: false, downloadThroughput: 1.6e6 / 8, uploadThroughput: 0.75e6 / 8, latency: 150 };

const since = (began: number): number => (performance.now() - began) / 1000;

/** What somebody waits for on a slow telephone: the list after signing in, a station that was not opened before, a key. */
export async function benchPhone(base: string): Promise<void> {
  const browser = await chromium.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    args: BROWSER_ARGS,
  });
  try {
    const context = await browser.newContext({
      viewport: { width: 390, height: 844 },
      baseURL: base,
      // The application is taken onto the device after the first page; here it would be measured with it.
      serviceWorkers: 'block',
    });
    const page = await context.newPage();
    const session = await context.newCDPSession(page);
    await session.send('Network.enable');
    await session.send('Network.emulateNetworkConditions', NETWORK);
    await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });

    let began = performance.now();
    await page.goto('/sign-in');
    await page.getByRole('button', { name: 'Sign in' }).waitFor();
    console.log(`  the sign-in page, with nothing of it here: ${since(began).toFixed(2)} s`);
    await page.getByLabel('E-mail address').fill('maren@fennel.example');
    await page.getByLabel('Password').fill('keen-gauge-demo');
    began = performance.now();
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.locator('main li a[href^="/jobs/"]').first().waitFor();
    report('slow telephone: from signing in to the list of jobs', since(began), 's', 3);

    const job = await demoJob(page, 'Larkrise');
    began = performance.now();
    await page.locator(`a[href="/jobs/${job}"]`).click();
    await page.getByRole('heading', { name: 'Place and meter point', level: 1 }).waitFor();
    report('  a survey opened cold', since(began), 's', 3);
    for (const [station, name] of [
      ['charger', 'New equipment'],
      ['circuit', 'Circuit and protection'],
      ['pack', 'Pack'],
    ] as const) {
      await page.getByRole('button', { name: 'Stations' }).click();
      const link = page.getByRole('dialog', { name: 'Stations' }).locator(`a[href="/jobs/${job}/${station}"]`);
      await link.waitFor();
      began = performance.now();
      await link.click();
      await page.getByRole('heading', { name, level: 1 }).waitFor();
      report(`  ${name}, opened cold within it`, since(began), 's', 3);
    }
    const { all } = await benchKeys(page, job, ['place', 'cut-out', 'loads', 'charger', 'circuit']);
    report('  a key to its painted frame, 95th percentile', quantile(all, 0.95), 'ms', 100);
  } finally {
    await browser.close();
  }
}
