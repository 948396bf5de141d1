import type { Page } from '@playwright/test';
import { expect, newJob, signInByForm, test } from './journey';
import { endOfPass, passHome, startPass } from './home-pass';
import { logOf } from './log-file';
import { OwnServer, pictures, picturesKept, takenAlong, Telephone } from './own-device';

interface Kept {
  readonly survey: {
    readonly place: object;
    readonly photos: readonly unknown[];
    readonly measurements: readonly { readonly fileId?: string }[];
  };
}

test('a day in a valley: the server stopped and the browser closed, and everything of it at the server afterwards', async () => {
  test.slow();
  const server = new OwnServer();
  await server.start(4840);
  const telephone = new Telephone(server.url);
  try {
    let page = await telephone.open();
    await signInByForm(page, 'tobin');
    await takenAlong(page);
    await server.kill();

    // Opened, and reloaded twice.
    await page.goto('/');
    await expect(page.getByText('No connection.')).toBeVisible();
    await page.reload();
    await page.reload();
    // A job of the morning’s list, looked for and opened for the first time here.
    await find(page, 'Tallow Row');
    await expect(page.getByRole('heading', { name: 'Place and meter point' })).toBeVisible();

    const address = await aWholeJob(page);
    await playATrial(page);

    // The browser is closed, and opened again: it is all still there.
    await telephone.close();
    page = await telephone.open();
    await page.goto(`${address}/pack`);
    await expect(page.getByText('Signed on this device.')).toBeVisible();
    await page.goto('/device');
    const waiting = page.getByRole('region', { name: 'To be sent' });
    await expect(waiting.getByText('new job, answers, 6 photographs, 1 log, a signature')).toBeVisible();

    // The valley ends: it goes by itself.
    await server.start(4840);
    await expect(waiting.getByText('Everything you did is with the server.')).toBeVisible({ timeout: 90_000 });
    await isAllThere(page, address);
  } finally {
    await telephone.throwAway();
    await server.kill();
  }
});

/** Looks for a job in the list as people do, and opens it. */
async function find(page: Page, place: string): Promise<void> {
  await page.getByLabel('Search jobs').fill(place);
  await page.getByRole('link', { name: new RegExp(place) }).click();
}

/** A job nobody has heard of: the quick pass, six photographs, a log, and a signature; its address. */
async function aWholeJob(page: Page): Promise<string> {
  await page.goto('/');
  const address = (await newJob(page, '2 Quarry Row, Netherby, ZZ1 1AA')).replace(/\/place$/, '');
  await expect(page.getByRole('status', { name: 'Saving' })).toContainText('Kept on this device');
  await startPass(page);
  await passHome(page);
  await expect(endOfPass(page)).toBeVisible();
  await expect(page.getByText('1 to send')).toBeVisible();

  await page.goto(`${address}/cut-out`);
  await expect(page.getByRole('heading', { name: 'Intake and cut-out' })).toBeVisible();
  await page
    .locator('input[type=file][multiple]')
    .first()
    .setInputFiles(await pictures(6));
  await expect(page.getByText('picture-5.jpg')).toBeVisible();
  await picturesKept(page);

  // A logger’s file is read and judged here, and kept with the job later.
  await page.goto(`${address}/loads`);
  await page.getByRole('button', { name: 'Import a log' }).click();
  const log = page.getByRole('dialog', { name: 'Import a log' });
  await log.locator('input[type=file]').setInputFiles(logOf('three-phase'));
  await log.getByRole('button', { name: 'Read it like this' }).click();
  await expect(log.getByRole('heading', { name: 'Readings over time' })).toBeVisible();
  await log.getByRole('button', { name: 'Keep it in the survey' }).click();
  await expect(page.getByRole('region', { name: 'Measured demand' })).toContainText('9 whole days');

  // Signed where it stands.
  // A sheet that has just been put away takes its step back out of the browser's history first, and that ends a loading begun meanwhile.
  await expect(log).toHaveCount(0);
  await expect(() => page.goto(`${address}/pack`)).toPass();
  await page.getByLabel('Type your name to sign').fill('Tobin Farrowby');
  await page.getByRole('button', { name: 'Sign on this device' }).click();
  await expect(page.getByText('Signed on this device.')).toBeVisible();
  return address;
}

/** In a job that has what a trial needs. */
async function playATrial(page: Page): Promise<void> {
  await page.goto('/');
  await find(page, 'Candlemas Road');
  await expect(page.getByRole('navigation', { name: 'About this survey' })).toBeVisible();
  await page.goto(`${new URL(page.url()).pathname.replace(/\/[a-z-]+$/, '')}/compare`);
  const trial = page.getByRole('region', { name: 'Trial' });
  await trial.getByRole('button', { name: 'Play the trial' }).click();
  await expect(trial.getByText(/^[1-9]\d* of 100 household-years/)).toBeVisible();
  await trial.getByRole('button', { name: 'Stop' }).click();
}

async function isAllThere(page: Page, address: string): Promise<void> {
  const survey = async (): Promise<Kept> => (await (await page.request.get(`/api${address}/survey`)).json()) as Kept;
  await expect.poll(async () => (await survey()).survey.photos.length).toBe(6);
  const { place, measurements } = (await survey()).survey;
  expect(place).toMatchObject({
    addressLine1: '2 Quarry Row',
    customerName: 'A. Tester',
    meterPointNumber: '9700000012340',
  });
  expect(measurements).toHaveLength(1);
  expect((await page.request.get(`/api${address}/logs/${measurements[0]?.fileId ?? ''}`)).status()).toBe(200);
  const job = (await (await page.request.get(`/api${address}`)).json()) as { readonly number: number };
  expect(job.number).toBeGreaterThan(0);
  const { packs } = (await (await page.request.get(`/api${address}/packs`)).json()) as { readonly packs: object[] };
  expect(packs).toHaveLength(1);
  expect(packs[0]).toMatchObject({ signedBy: 'Tobin Farrowby' });
}
