import type { Page } from '@playwright/test';
import { expect, newJob, opened, saved, signInByForm, test } from './journey';
import { OwnServer, pictures, picturesKept, takenAlong, Telephone, Wire, writtenDown } from './own-device';

test.use({ serviceWorkers: 'allow' });

interface Answer {
  readonly survey: { readonly photos: readonly { readonly id: string }[]; readonly place: object };
}

const surveyOf = async (page: Page, address: string): Promise<Answer['survey']> =>
  ((await (await page.request.get(`/api${address}/survey`)).json()) as Answer).survey;

/** Chooses pictures at the intake of a job, in a browser that the server cannot hear. */
async function choosePictures(page: Page, address: string, count: number, width: number): Promise<number> {
  const chosen = await pictures(count, width);
  await page.goto(`${address}/cut-out`);
  await page.locator('input[type=file][multiple]').first().setInputFiles(chosen);
  await expect(page.getByText(`picture-${count - 1}.jpg`)).toBeVisible();
  await picturesKept(page);
  return chosen.reduce((sum, { buffer }) => sum + buffer.length, 0);
}

const sent = (page: Page) =>
  expect(
    page.getByRole('region', { name: 'To be sent' }).getByText('Everything you did is with the server.'),
  ).toBeVisible({ timeout: 120_000 });

test('a server killed in the middle of sending: the rest goes when there is one again, and everything is there once', async () => {
  test.slow();
  const server = new OwnServer();
  await server.start(4850);
  const wire = new Wire(Number(new URL(server.url).port));
  await wire.start(4855);
  const began = Date.now();
  const telephone = new Telephone(wire.url);
  try {
    const page = await telephone.open();
    await signInByForm(page, 'isla');
    await takenAlong(page);
    await server.kill();
    await page.goto('/');
    const address = (await newJob(page, `3 Quarry Row ${began}, Netherby`)).replace(/\/place$/, '');
    await page.getByLabel('Customer', { exact: true }).fill('Typed in the valley');
    const bytes = await choosePictures(page, address, 10, 2000);
    await page.goto('/device');
    await expect(page.getByText('new job, answers, 10 photographs')).toBeVisible();

    // Some are there and some cannot be, however quick the machine: now the power fails.
    wire.cutAfter(bytes / 2);
    await server.start(4850);
    await expect.poll(() => wire.up, { timeout: 90_000 }).toBeGreaterThanOrEqual(Math.floor(bytes / 2));
    await server.kill();
    await expect(page.getByText('No connection.', { exact: true })).toBeVisible();
    wire.mend();
    await server.start(4850);
    await sent(page);
    const { photos, place } = await surveyOf(page, address);
    expect(place).toMatchObject({ addressLine1: `3 Quarry Row ${began}`, customerName: 'Typed in the valley' });
    expect(new Set(photos.map(({ id }) => id)).size).toBe(10);
    expect(photos).toHaveLength(10);
    const found = (await (await page.request.get(`/api/jobs?search=${began}`)).json()) as {
      readonly jobs: object[];
    };
    expect(found.jobs).toHaveLength(1);
  } finally {
    await telephone.throwAway();
    await wire.stop();
    await server.kill();
  }
});

test('an upload cut at two fifths goes on from there', async () => {
  test.slow();
  const server = new OwnServer();
  await server.start(4860);
  const wire = new Wire(Number(new URL(server.url).port));
  await wire.start(4870);
  const telephone = new Telephone(wire.url);
  try {
    const page = await telephone.open();
    await signInByForm(page, 'isla');
    const address = (await newJob(page, '4 Quarry Row, Netherby')).replace(/\/place$/, '');
    await saved(page);
    await takenAlong(page);
    wire.cutAfter(0);
    const bytes = await choosePictures(page, address, 1, 3000);
    await page.goto('/device');
    await expect(page.getByText('1 photograph', { exact: true })).toBeVisible();
    // What the page asks besides is a few thousand bytes; the picture is millions.
    wire.cutAfter(0.4 * bytes);
    await expect.poll(() => wire.up, { timeout: 90_000 }).toBeGreaterThanOrEqual(Math.floor(0.4 * bytes));
    await expect(page.getByText('1 photograph', { exact: true })).toBeVisible();
    wire.mend();
    await sent(page);
    expect((await surveyOf(page, address)).photos).toHaveLength(1);
    console.log(`  of ${bytes} bytes ${wire.up} went after the cut, answers to other questions included`);
    expect(wire.up).toBeLessThan(0.85 * bytes);
  } finally {
    await telephone.throwAway();
    await wire.stop();
    await server.kill();
  }
});

test('a device that is full says so, and what it cannot keep still goes to the server', async ({ page, context }) => {
  test.slow();
  // The browser has no room for anything as large as a photograph.
  await page.addInitScript(() => {
    const put = Reflect.get(IDBObjectStore.prototype, 'put') as (
      this: IDBObjectStore,
      ...given: unknown[]
    ) => IDBRequest<IDBValidKey>;
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, value: { file?: Blob }, ...rest) {
      if ((value.file?.size ?? 0) > 100_000) throw new DOMException('full', 'QuotaExceededError');
      return put.call(this, value, ...rest);
    };
  });
  await signInByForm(page, 'isla');
  const address = (await newJob(page, '5 Quarry Row, Netherby')).replace(/\/place$/, '');
  await saved(page);
  await takenAlong(page);
  await page.goto(`${address}/cut-out`);
  await expect(page.getByRole('heading', { name: 'Intake and cut-out' })).toBeVisible();
  await context.setOffline(true);
  await page
    .locator('input[type=file][multiple]')
    .first()
    .setInputFiles(await pictures(2, 2000));
  const waiting = page.getByRole('region', { name: 'Pictures on their way in' });
  await expect(waiting).toContainText('Not kept on this device');
  await expect(page.getByText('This device is full.')).toBeVisible();
  await context.setOffline(false);
  await expect(waiting).toHaveCount(0, { timeout: 60_000 });
  expect((await surveyOf(page, address)).photos).toHaveLength(2);
});

test('two devices at one job, four days apart and one by a wrong clock: fields join, and the same field asks', async ({
  browser,
}) => {
  test.slow();
  const server = new OwnServer();
  await server.start(4880);
  const wire = new Wire(Number(new URL(server.url).port));
  await wire.start(4890);
  const telephone = new Telephone(wire.url);
  try {
    // This telephone's clock is two hours fast.
    const fast = Date.now() + 2 * 3_600_000;
    let page = await telephone.open();
    await page.clock.install({ time: fast - 4 * 86_400_000 });
    await signInByForm(page, 'tobin');
    const place = `6 Quarry Row ${fast}`;
    const address = (await newJob(page, place)).replace(/\/place$/, '');
    await page.getByLabel('Customer', { exact: true }).fill('A. Quarry');
    await saved(page);
    await takenAlong(page);
    wire.cutAfter(0);
    await setAgain(page, address, 'A. Quarry-Jones');
    await page.getByLabel('Postcode').fill('ZZ6 6ZZ');
    await expect(page.getByRole('status', { name: 'Saving' })).toContainText('Kept on this device');
    await writtenDown(page, 'ZZ6 6ZZ');
    await telephone.close();

    const other = await browser.newPage({ baseURL: server.url, serviceWorkers: 'block' });
    await signInByForm(other, 'isla');
    await setAgain(other, address, 'B. Quarry');
    await other.getByLabel('Town').fill('Upper Netherby');
    await saved(other);
    await other.close();

    // Four days later, and as fast as before.
    wire.mend();
    page = await telephone.open();
    await page.clock.install({ time: fast });
    await page.goto('/device');
    const waits = page.getByRole('region', { name: 'To be sent' });
    await expect(waits.getByText('Open it: something there needs your answer')).toBeVisible({ timeout: 60_000 });
    await waits.getByRole('link', { name: new RegExp(place) }).click();
    await expect(page.getByText('Also changed elsewhere')).toBeVisible();
    await expect(page.getByText(/^Isla Quenby, /)).toBeVisible();
    await page.getByRole('button', { name: 'Keep mine: A. Quarry-Jones' }).click();
    await saved(page);
    expect((await surveyOf(page, address)).place).toMatchObject({
      customerName: 'A. Quarry-Jones',
      postcode: 'ZZ6 6ZZ',
      town: 'Upper Netherby',
    });
  } finally {
    await telephone.throwAway();
    await wire.stop();
    await server.kill();
  }
});

/** Opens the customer's name as it is recorded and types another. */
async function setAgain(page: Page, address: string, name: string): Promise<void> {
  await page.goto(`${address}/place`);
  await (await opened(page, 'Customer')).fill(name);
}
