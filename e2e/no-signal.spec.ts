import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { answerFor, expect, goTo, newJob, PASSWORD, saved, signInByForm, signOff, test } from './journey';
import { logOf } from './log-file';

test.use({ serviceWorkers: 'allow' });

/** The whole application and the jobs meant for this person are on the device. */
async function takenAlong(page: Page): Promise<void> {
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.goto('/device');
  await expect(page.getByRole('heading', { name: 'This device', level: 1 })).toBeVisible();
  await page.getByRole('button', { name: 'Take along now' }).click();
  const carried = page.getByRole('region', { name: 'Carried along' });
  await expect(carried.getByRole('listitem').first()).toBeVisible();
  await expect(carried.getByRole('status')).toHaveCount(0);
  // Every page of it is answered for by the worker from here on.
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
}

test('a day without a connection: opened, reloaded, a new job, answers, photographs; and all of it at the server afterwards', async ({
  page,
  context,
}) => {
  test.slow();
  await page.setViewportSize({ width: 390, height: 844 });
  await signInByForm(page, 'tobin');
  await takenAlong(page);

  await context.setOffline(true);
  await page.goto('/');
  await expect(page.getByText('No connection.')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('link', { name: /12 Tallow Row/ })).toBeVisible();

  // A job of the morning's list, opened for the first time here.
  await page.getByRole('link', { name: /12 Tallow Row/ }).click();
  await expect(page.getByRole('heading', { name: 'Place and meter point' })).toBeVisible();

  // A job nobody has heard of.
  await page.goto('/');
  await page.getByRole('button', { name: 'New job' }).click();
  const sheet = page.getByRole('dialog', { name: 'New job' });
  await sheet.getByLabel('Where').fill('2 Quarry Row, Netherby');
  await sheet.getByLabel('Job description').fill('Vehicle charger');
  await sheet.getByRole('button', { name: 'Start the survey' }).click();
  await expect(page.getByRole('heading', { name: 'Place and meter point' })).toBeVisible();
  const address = new URL(page.url()).pathname.replace(/\/place$/, '');
  const saving = page.getByRole('status', { name: 'Saving' });
  await expect(saving).toContainText('Kept on this device');

  await page.getByLabel('Customer', { exact: true }).fill('T. Quarry');
  await expect(page.getByText('1 to send')).toBeVisible();
  await page.goto(`${address}/cut-out`);
  await expect(page.getByRole('heading', { name: 'Intake and cut-out' })).toBeVisible();
  await page
    .locator('input[type=file][multiple]')
    .first()
    .setInputFiles(
      Array.from({ length: 6 }, (_, at) => ({
        name: `label-${at}.jpg`,
        mimeType: 'image/jpeg',
        buffer: pictureOf(at),
      })),
    );
  await expect(page.getByText('label-5.jpg')).toBeVisible();

  // A logger's file is read and judged here, and kept with the job later.
  await page.goto(`${address}/loads`);
  await page.getByRole('button', { name: 'Import a log' }).click();
  const log = page.getByRole('dialog', { name: 'Import a log' });
  await log.locator('input[type=file]').setInputFiles(logOf('three-phase'));
  await log.getByRole('button', { name: 'Read it like this' }).click();
  await expect(log.getByRole('heading', { name: 'Readings over time' })).toBeVisible();
  await log.getByRole('button', { name: 'Keep it in the survey' }).click();
  await expect(page.getByRole('region', { name: 'Measured demand' })).toContainText('9 whole days');

  // A trial is played, in a job that has what one needs.
  await page.getByRole('link', { name: 'Back to the jobs' }).click();
  await page.getByRole('link', { name: /9 Candlemas Road/ }).click();
  await page.goto(`${new URL(page.url()).pathname}/compare`);
  const trial = page.getByRole('region', { name: 'Trial' });
  await trial.getByRole('button', { name: 'Play the trial' }).click();
  await expect(trial.getByText(/^[1-9]\d* of 100 household-years/)).toBeVisible();
  await trial.getByRole('button', { name: 'Stop' }).click();
  await page.goto(`${address}/cut-out`);
  await expect(page.getByText('label-5.jpg')).toBeVisible();

  // Signed where it stands.
  await page.goto(`${address}/pack`);
  await answerFor(page, 'The customer asked for it today.');
  await page.getByLabel('Type your name to sign').fill('Tobin Farrowby');
  await page.getByRole('button', { name: 'Sign on this device' }).click();
  await expect(page.getByText('Signed on this device.')).toBeVisible();

  await page.goto('/device');
  const waiting = page.getByRole('region', { name: 'To be sent' });
  await expect(waiting.getByText('new job, answers, 6 photographs, 1 log, a signature')).toBeVisible();

  // The valley ends: it goes by itself.
  await context.setOffline(false);
  await expect(waiting.getByText('Everything you did is with the server.')).toBeVisible();
  const survey = (await (await page.request.get(`/api${address}/survey`)).json()) as object;
  expect(survey).toMatchObject({ survey: { place: { addressLine1: '2 Quarry Row', customerName: 'T. Quarry' } } });
  await expect
    .poll(async () => ((await (await page.request.get(`/api${address}/survey`)).json()) as Photos).survey.photos.length)
    .toBe(6);
  const { measurements } = ((await (await page.request.get(`/api${address}/survey`)).json()) as Photos).survey;
  expect(measurements).toHaveLength(1);
  expect((await page.request.get(`/api${address}/logs/${measurements[0]?.fileId ?? ''}`)).status()).toBe(200);
  const job = (await (await page.request.get(`/api${address}`)).json()) as { readonly number: number };
  expect(job.number).toBeGreaterThan(0);
  const { packs } = (await (await page.request.get(`/api${address}/packs`)).json()) as {
    readonly packs: readonly object[];
  };
  expect(packs).toHaveLength(1);
  expect(packs[0]).toMatchObject({ signedBy: 'Tobin Farrowby', reason: 'The customer asked for it today.' });
});

interface Photos {
  readonly survey: {
    readonly photos: readonly unknown[];
    readonly measurements: readonly { readonly fileId?: string }[];
  };
}

/** A picture of 400 × 300, as a camera would give it, each of another colour. */
function pictureOf(at: number): Buffer {
  const making = `require('sharp')({ create: { width: 400, height: 300, channels: 3, background: { r: 30 * ${at}, g: 90, b: 60 } } }).jpeg().pipe(process.stdout)`;
  return spawnSync('node', ['-e', making]).stdout;
}

test('signed without a connection and changed by somebody else meanwhile: it is shown, and nothing is a pack until somebody decides', async ({
  page,
  context,
  browser,
}) => {
  test.slow();
  await signInByForm(page, 'maren');
  const address = await newJob(page, '7 Two Devices, Netherby');
  await page.getByLabel('Customer', { exact: true }).fill('A. Customer');
  await saved(page);
  await page.evaluate(() => navigator.serviceWorker.ready);
  await goTo(page, 'Pack');
  await context.setOffline(true);
  await answerFor(page, 'The customer is waiting for it.');
  await page.getByLabel('Type your name to sign').fill('Maren Oakhanger');
  // The page learns of it by the next thing it asks.
  await page.evaluate(() => fetch('/api/me').catch(() => undefined));
  await expect(page.getByRole('button', { name: 'Sign on this device' })).toBeVisible();
  await page.getByRole('button', { name: 'Sign on this device' }).click();
  await expect(page.getByText('Signed on this device.')).toBeVisible();

  const other = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
  await signInByForm(other, 'isla');
  await other.goto(`${address}/place`);
  await other.getByLabel('Postcode').fill('ZZ9 9ZZ');
  await saved(other);
  await other.context().close();

  await context.setOffline(false);
  await page.goto('/device');
  const waiting = page.getByRole('region', { name: 'To be sent' });
  await expect(waiting.getByText(/The survey has changed since you signed it/)).toBeVisible();
  const packs = async (): Promise<number> =>
    ((await (await page.request.get(`/api${address}/packs`)).json()) as { readonly packs: readonly object[] }).packs
      .length;
  expect(await packs()).toBe(0);
  await waiting.getByRole('link', { name: /7 Two Devices/ }).click();
  await goTo(page, 'Pack');
  await page.getByRole('button', { name: 'Withdraw it, and sign again below' }).click();
  await expect(page.getByText('Signed on this device, and not taken.')).toHaveCount(0);
  await signOff(page, 'The customer is waiting for it.');
  await expect.poll(packs).toBe(1);
});

test('a session that ended meanwhile: signed in again, nothing typed is lost, and no copy was left to be read', async ({
  page,
  context,
}) => {
  test.slow();
  await signInByForm(page, 'isla');
  const address = await newJob(page, '8 Session Street, Netherby');
  await saved(page);
  await page.evaluate(() => navigator.serviceWorker.ready);
  await context.setOffline(true);
  await page.getByLabel('Customer', { exact: true }).fill('Typed in the valley');
  await expect(page.getByRole('status', { name: 'Saving' })).toContainText('Kept on this device');
  await context.clearCookies();
  await context.setOffline(false);
  await page.goto('/device');
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await page.getByLabel('E-mail address').fill('isla@fennel.example');
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('Everything you did is with the server.')).toBeVisible();
  const survey = (await (await page.request.get(`/api${address}/survey`)).json()) as object;
  expect(survey).toMatchObject({ survey: { place: { customerName: 'Typed in the valley' } } });
});

test('a newer version waits until somebody takes it, and what is typed outlives it', async ({ page }) => {
  test.slow();
  const script = join(import.meta.dirname, '../dist/web/sw.js');
  const before = readFileSync(script, 'utf8');
  try {
    await signInByForm(page, 'isla');
    await page.evaluate(() => navigator.serviceWorker.ready);
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Jobs', level: 1 })).toBeVisible();
    writeFileSync(script, `${before}\n// deployed\n`);
    await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.update());
    const told = page.getByText('A newer version of Keen Gauge is here.');
    await expect(told).toBeVisible();
    await page.getByLabel('Search jobs').fill('Tallow');
    await page.getByRole('button', { name: 'Load it' }).click();
    await expect(told).toHaveCount(0);
    await expect(page.getByLabel('Search jobs')).toHaveValue('Tallow');
    await expect
      .poll(() => page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.waiting))
      .toBe(null);
  } finally {
    writeFileSync(script, before);
  }
});

test('signing out with something unsent asks first; signed out, nothing is left to be read here', async ({
  page,
  context,
}) => {
  test.slow();
  await signInByForm(page, 'tobin');
  await takenAlong(page).catch(() => undefined);
  await page.goto('/');
  await page.getByRole('link', { name: /9 Candlemas Road/ }).click();
  await goTo(page, 'Place and meter point');
  await context.setOffline(true);
  await page
    .getByRole('button', { name: /^Customer/ })
    .first()
    .click();
  await page.keyboard.type('Somebody else entirely');
  await expect(page.getByRole('status', { name: 'Saving' })).toContainText('Kept on this device');
  await page.getByRole('button', { name: /^Sign out/ }).click();
  const sheet = page.getByRole('dialog', { name: 'Sign out?' });
  await expect(sheet.getByText('1 job has work of yours')).toBeVisible();
  await sheet.getByRole('button', { name: 'Sign out all the same …' }).click();
  await sheet.getByRole('button', { name: /^Yes, take away/ }).click();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  const left = await page.evaluate(async () => {
    const count = (name: string, store: string): Promise<number> =>
      new Promise((resolve, reject) => {
        const opening = indexedDB.open(name);
        opening.onerror = () => {
          reject(new Error('not opened'));
        };
        opening.onsuccess = () => {
          const counting = opening.result.transaction(store).objectStore(store).count();
          counting.onsuccess = () => {
            resolve(counting.result);
          };
        };
      });
    return [
      await count('keen-gauge-device', 'answers'),
      await count('keen-gauge-device', 'person'),
      await count('keen-gauge', 'unsaved'),
    ];
  });
  expect(left).toEqual([0, 0, 0]);
  // The connection comes back: the session the server still had is ended, and nobody is signed in by it.
  await context.setOffline(false);
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
});
