import { startServer } from '../scripts/machine/instance.mjs';
import { expect, goTo, newJob, recorded, saved, signIn, test } from './journey';

test('two tabs: different fields lose nothing, the same field asks', async ({ page, context }) => {
  await signIn(page, 'tobin');
  const path = await newJob(page, '2 Two Tabs');
  const other = await context.newPage();
  await other.goto(`${path}/place`);
  await expect(other.getByLabel('Town')).toBeVisible();

  await page.getByLabel('Town').fill('Netherby');
  await other.getByLabel('Postcode').fill('ZZ9 9ZZ');
  await saved(page);
  await saved(other);
  await expect(other.getByLabel('Town')).toHaveValue('Netherby', { timeout: 15_000 });
  await expect(page.getByLabel('Postcode')).toHaveValue('ZZ9 9ZZ', { timeout: 15_000 });

  // Both type into one field before either has heard of the other.
  await context.setOffline(true);
  await page.getByLabel('Customer', { exact: true }).fill('First');
  await other.getByLabel('Customer', { exact: true }).fill('Second');
  await expect(page.getByRole('status', { name: 'Saving' })).toContainText('no connection');
  await context.setOffline(false);
  const tabs = [page, other];
  await expect(async () => {
    const counts = await Promise.all(tabs.map((tab) => tab.getByText('Also changed elsewhere').count()));
    expect(counts.reduce((a, b) => a + b)).toBe(1);
  }).toPass({ timeout: 20_000 });
  const asked = (await page.getByText('Also changed elsewhere').count()) > 0 ? page : other;
  const mine = asked === page ? 'First' : 'Second';
  await asked.getByRole('button', { name: `Keep mine: ${mine}` }).click();
  await saved(asked);
  for (const tab of tabs)
    await expect(tab.getByLabel('Customer', { exact: true })).toHaveValue(mine, { timeout: 15_000 });
});

test('a lost connection and a reload lose nothing', async ({ page, context }) => {
  await signIn(page, 'tobin');
  await newJob(page, '6 Lost Signal');
  await context.setOffline(true);
  await page.getByLabel('Town').fill('Kept on the device');
  await expect(page.getByRole('status', { name: 'Saving' })).toContainText('Kept on this device');
  await context.setOffline(false);
  await page.reload();
  await recorded(page, 'Town', 'Kept on the device');
  await saved(page);
});

test('a tab closed before it could save leaves its typing to the next', async ({ page, context }) => {
  await signIn(page, 'tobin');
  const path = await newJob(page, '7 Closed Tab');
  await context.setOffline(true);
  await page.getByLabel('Town').fill('Left behind');
  await expect(page.getByRole('status', { name: 'Saving' })).toContainText('Kept on this device');
  await page.close();
  await context.setOffline(false);
  const next = await context.newPage();
  await next.goto(`${path}/place`);
  await recorded(next, 'Town', 'Left behind');
  await saved(next);
});

test('a killed server loses nothing: what was typed arrives when one is there again', async ({ browser }) => {
  const database = process.env['E2E_APP_DATABASE_URL'] ?? '';
  const first = await startServer(database, 4820);
  const page = await browser.newPage({ baseURL: first.url });
  await signIn(page, 'tobin');
  await newJob(page, '9 Killed Server');
  await page.getByLabel('Town').fill('Before');
  await saved(page);
  await first.stop('SIGKILL');
  await page.getByLabel('Postcode').fill('ZZ2 2ZZ');
  await goTo(page, 'Earthing');
  await page.getByLabel('How it was recognised').fill('Typed while the server was dead.');
  await expect(page.getByRole('status', { name: 'Saving' })).toContainText('no connection');
  const second = await startServer(database, first.port);
  expect(second.port).toBe(first.port);
  await saved(page);
  await page.reload();
  await recorded(page, 'How it was recognised', 'Typed while the server was dead.');
  await goTo(page, 'Place and meter point');
  await recorded(page, 'Postcode', 'ZZ2 2ZZ');
  await page.close();
  await second.stop();
});

test('signed out while typing: it says so, keeps it, and goes on after signing in', async ({ page, context }) => {
  await signIn(page, 'tobin');
  await newJob(page, '11 Signed Out');
  await context.clearCookies();
  await page.getByLabel('Town').fill('Typed signed out');
  const state = page.getByRole('status', { name: 'Saving' });
  await expect(state).toContainText('signed out');
  await state.getByRole('link', { name: 'Sign in' }).click();
  await page.getByLabel('E-mail address').fill('tobin@fennel.example');
  await page.getByLabel('Password').fill('keen-gauge-demo');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await recorded(page, 'Town', 'Typed signed out');
  await saved(page);
});
