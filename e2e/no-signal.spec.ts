import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { answerFor, expect, goTo, newJob, PASSWORD, saved, signInByForm, signOff, test } from './journey';
import { takenAlong } from './own-device';

test.use({ serviceWorkers: 'allow' });

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

test('a newer version, deployed while there was no connection, waits until somebody takes it; what was typed outlives it', async ({
  page,
  context,
}) => {
  test.slow();
  const script = join(import.meta.dirname, '../dist/web/sw.js');
  const before = readFileSync(script, 'utf8');
  try {
    await signInByForm(page, 'isla');
    await page.evaluate(() => navigator.serviceWorker.ready);
    await page.reload();
    const address = await newJob(page, '9 Version Street');
    await saved(page);
    await context.setOffline(true);
    await page.getByLabel('Town').fill('Typed before');
    await expect(page.getByRole('status', { name: 'Saving' })).toContainText('Kept on this device');
    writeFileSync(script, `${before}\n// deployed\n`);
    await page.goto('/');
    await expect(page.getByRole('link', { name: /9 Version Street/ }).first()).toContainText('not sent yet');
    await context.setOffline(false);
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
    await expect
      .poll(async () => (await page.request.get(`/api${address.replace(/\/place$/, '')}/survey`)).text())
      .toContain('Typed before');
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
  await page.getByLabel('Search jobs').fill('Candlemas');
  await page.getByRole('link', { name: /9 Candlemas Road/ }).click();
  await goTo(page, 'Place and meter point');
  const otherTab = await context.newPage();
  await otherTab.goto('/diary');
  await expect(otherTab.getByRole('heading', { name: 'Diary', level: 1 })).toBeVisible();
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
  // Another tab of the same browser shows nothing of it either.
  await expect(otherTab.getByRole('button', { name: 'Sign in' })).toBeVisible();
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
