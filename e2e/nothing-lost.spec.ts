import { expect, goTo, newJob, recorded, saved, signIn, test } from './journey';

const SAVES = '**/api/jobs/*/survey/revisions';
const mark = 'Saving';

test('a save whose answer is lost, with typing gone on, is not told as somebody else’s', async ({ page }) => {
  await signIn(page, 'tobin');
  await newJob(page, '1 Lost Answer');
  await saved(page);
  let lost = 0;
  await page.route(SAVES, async (route) => {
    await route.fetch();
    lost += 1;
    await route.abort();
  });
  const town = page.getByLabel('Town');
  await town.fill('Neth');
  await expect(page.getByRole('status', { name: mark })).toContainText('no connection');
  await town.fill('Netherby on the Hill');
  await page.getByLabel('Postcode').fill('ZZ1 1ZZ');
  await expect(() => {
    expect(lost).toBeGreaterThan(1);
  }).toPass();
  // What was typed and sent is at the server; a tab that goes now still has the rest.
  await page.unroute(SAVES);
  await page.reload();
  await recorded(page, 'Town', 'Netherby on the Hill');
  await saved(page);
  await expect(page.getByText('Also changed elsewhere')).toHaveCount(0);
  await page.reload();
  await recorded(page, 'Town', 'Netherby on the Hill');
  await recorded(page, 'Postcode', 'ZZ1 1ZZ');
});

test('a part of the application that cannot be fetched leaves the rest, says so, and can be tried again', async ({
  page,
}) => {
  await signIn(page, 'tobin');
  // Before the job is opened, which fetches its stations ahead.
  const part = '**/assets/ChargerStation*.js';
  await page.route(part, (route) => route.abort());
  await newJob(page, '2 Old Version');
  await page.getByLabel('Town').fill('Kept');
  await page
    .getByRole('navigation', { name: 'Stations', exact: true })
    .getByRole('link', { name: 'New equipment' })
    .click();
  await expect(page.getByText('This part could not be loaded.')).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Stations', exact: true })).toBeVisible();
  await saved(page);
  await page.unroute(part);
  await page.getByRole('button', { name: 'Load the newest version' }).click();
  await expect(page.getByRole('heading', { name: 'New equipment', level: 1 })).toBeVisible();
  await goTo(page, 'Place and meter point');
  await recorded(page, 'Town', 'Kept');
  const gone = await page.request.get('/assets/ChargerStation-of-before.js');
  expect(gone.status()).toBe(404);
});

test('a browser that keeps nothing still works, and says what is not kept', async ({ page }) => {
  await page.addInitScript(() => {
    indexedDB.open = () => {
      throw new DOMException('refused', 'SecurityError');
    };
  });
  await signIn(page, 'tobin');
  await newJob(page, '3 Private Window');
  await page.getByLabel('Town').fill('Straight to the server');
  await saved(page);
  await page.route(SAVES, (route) => route.abort());
  await page.getByLabel('Postcode').fill('ZZ3 3ZZ');
  await expect(page.getByRole('status', { name: mark })).toContainText('Not kept on this device either');
  await page.unroute(SAVES);
  await saved(page);
  await page.reload();
  await recorded(page, 'Postcode', 'ZZ3 3ZZ');
});

test('a failure of the server is told as one, under what it is logged, and not as a lost connection', async ({
  page,
}) => {
  await signIn(page, 'tobin');
  await newJob(page, '4 Broken Server');
  await saved(page);
  await page.route(SAVES, (route) =>
    route.fulfill({
      status: 500,
      contentType: 'application/problem+json',
      body: JSON.stringify({
        title: 'Something went wrong here',
        status: 500,
        detail: 'x',
        requestId: 'ab12cd34-rest',
      }),
    }),
  );
  await page.getByLabel('Town').fill('Tried');
  const state = page.getByRole('status', { name: mark });
  await expect(state).toContainText('something is wrong at the server');
  await expect(state).toContainText('ab12cd34');
  await expect(state).toContainText('Kept on this device');
  await page.unroute(SAVES);
  await state.getByRole('button', { name: 'Try again' }).click();
  await saved(page);
});

test('the last letters before a page goes arrive; those that did not are told of in the list', async ({
  page,
  context,
}) => {
  await signIn(page, 'tobin');
  const place = `5 Last Letters ${Date.now()}`;
  const path = await newJob(page, place);
  await page.getByLabel('Town').fill('In the last moment');
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Jobs', level: 1 })).toBeVisible();
  await expect(async () => {
    const head = await page.request.get(`/api${path}/survey`);
    expect(await head.text()).toContain('In the last moment');
  }).toPass({ timeout: 10_000 });
  await page.goto(`${path}/place`);
  await recorded(page, 'Town', 'In the last moment');
  await saved(page);
  await page.route(SAVES, (route) => route.abort());
  await page.getByLabel('Postcode').fill('ZZ5 5ZZ');
  await expect(page.getByRole('status', { name: mark })).toContainText('no connection');
  await page.close();
  const list = await context.newPage();
  await list.goto('/');
  const row = list.getByRole('link', { name: new RegExp(place) });
  await expect(row).toContainText('not sent yet');
  await row.click();
  await recorded(list, 'Postcode', 'ZZ5 5ZZ');
  await saved(list);
});

test('a picture the server cannot take stays on the device with why, and can be saved or removed', async ({ page }) => {
  await signIn(page, 'tobin');
  await newJob(page, '6 Bad Picture');
  await goTo(page, 'Intake and cut-out');
  const file = { name: 'notes.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture at all') };
  await page.locator('input[type=file]').first().setInputFiles(file);
  const waiting = page.getByRole('region', { name: 'Pictures on their way in' });
  await expect(waiting).toContainText('Not taken');
  await page.reload();
  await expect(waiting).toContainText('This is not a picture');
  const download = page.waitForEvent('download');
  await waiting.getByRole('button', { name: 'Save it on this device' }).click();
  expect((await download).suggestedFilename()).toBe('notes.jpg');
  await waiting.getByRole('button', { name: 'Remove notes.jpg' }).click();
  await expect(waiting).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Intake and cut-out' })).toBeVisible();
  await expect(waiting).toHaveCount(0);
});
