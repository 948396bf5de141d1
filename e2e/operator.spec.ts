import type { Page } from '@playwright/test';
import { rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { prepareDatabase, startServer } from '../scripts/machine/instance.mjs';
import { startOperatorDesk } from '../scripts/machine/operator-desk.mjs';
import { startThrowaway } from '../scripts/machine/postgres.mjs';
import { expect, goTo, newJob, opened, recorded, signIn, signOff, test } from './journey';

/** The desk is one for all: these run one after the other. */
test.describe.configure({ mode: 'serial' });

const DESK = process.env['E2E_DESK'] ?? '';

interface Handed {
  readonly reference: string;
  readonly site: string;
  readonly times: number;
  readonly answers: readonly unknown[];
}

async function setDesk(change: object, desk = DESK): Promise<readonly Handed[]> {
  const response = await fetch(`${desk}/desk`, {
    method: 'PATCH',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(change),
  });
  expect(response.status).toBe(200);
  return ((await response.json()) as { handed: readonly Handed[] }).handed;
}

/** How many submissions the desk has before it whole, and has not dealt with. */
async function arriving(desk: string): Promise<number> {
  return ((await (await fetch(`${desk}/desk`)).json()) as { arriving: number }).arriving;
}

/** A new job with its address, signed with everything else open, and its pack handed in. */
async function signedJob(page: Page, place: string): Promise<void> {
  await newJob(page, place);
  await (await opened(page, 'Address')).fill(place);
  await goTo(page, 'Pack');
  await signOff(page, 'Asked for early.');
  await page.getByRole('button', { name: /^Hand P-\d+ in$/ }).click({ timeout: 60_000 });
}

const conversation = (page: Page) => page.getByRole('region', { name: 'With the operator' });

test('the operator’s answer comes in by itself, is entered among the dates, and makes the next step', async ({
  page,
}) => {
  await setDesk({
    mood: 'well',
    answerNext: { answer: 'accepted-if', condition: 'fuse-visit', note: 'We come to the fuse first.' },
    workingDays: 10,
    secondsPerDay: 0.25,
  });
  await signIn(page);
  const place = `${Math.floor(Math.random() * 1e6)} Answer Row`;
  await signedJob(page, place);
  await expect(conversation(page)).toContainText(/reference DESK-\d{5}/, { timeout: 60_000 });
  // Ten working days of a quarter of a second, and the weekends among them.
  await expect(conversation(page)).toContainText('The operator: Accepted on a condition. We come to the fuse first.', {
    timeout: 120_000,
  });
  await expect(conversation(page)).toContainText('The operator comes to the fuse first');
  expect((await setDesk({})).filter(({ site }) => site.startsWith(place))).toMatchObject([{ times: 1 }]);

  await goTo(page, 'Route');
  const dates = page.getByRole('region', { name: 'Dates' });
  await expect(dates.getByRole('list', { name: 'Entered' })).toContainText('over the operator’s link');
  await dates.getByRole('button', { name: /What happened$/ }).click();
  await page.getByRole('option', { name: 'Fuse changed', exact: true }).click();
  await dates.getByRole('button', { name: 'Enter it' }).click();
  await expect(dates).toContainText('Fit and commission');
  await page.goto('/');
  await expect(page.getByRole('link', { name: new RegExp(place) })).toContainText('Operator: ');
});

test('two instances on one database serve the same job, and the pack is handed in once', async ({ page, browser }) => {
  test.slow();
  await setDesk({ mood: 'well', answerNext: { answer: 'accepted' }, secondsPerDay: 86_400 });
  const other = await startServer(process.env['E2E_APP_DATABASE_URL'] ?? '', 4980, 'error', `*=${DESK}`);
  const second = await browser.newPage({ baseURL: other.url });
  try {
    await signIn(page);
    const place = `${Math.floor(Math.random() * 1e6)} Twin Street`;
    await newJob(page, place);
    const path = new URL(page.url()).pathname.replace(/\/place$/, '');
    await signIn(second);
    await second.goto(`${path}/place`);
    await (await opened(second, 'Address')).fill(place);
    await expect(second.getByRole('status', { name: 'Saving' })).toHaveText('Saved');
    await page.goto(`${path}/place`);
    await recorded(page, 'Address', place);
    await goTo(page, 'Pack');
    await signOff(page, 'Both of us.');
    await expect(page.getByRole('region', { name: 'Packs' }).getByText(/^P-\d+/)).toBeVisible({ timeout: 60_000 });
    await second.goto(`${path}/pack`);
    await second.getByRole('button', { name: /^Hand P-\d+ in$/ }).click({ timeout: 60_000 });
    await expect(conversation(second)).toContainText(/reference DESK-\d{5}/, { timeout: 60_000 });
    await page.reload();
    for (const each of [page, second])
      await expect(conversation(each)).toContainText(/reference DESK-\d{5}/, { timeout: 60_000 });
    expect((await setDesk({})).filter(({ site }) => site.startsWith(place))).toMatchObject([{ times: 1 }]);
  } finally {
    await second.close();
    await other.stop();
  }
});

test('the desk out of order, the server killed in the middle, the desk killed: nothing is lost and nothing sent twice', async ({
  browser,
}) => {
  test.setTimeout(420_000);
  const file = join(tmpdir(), `desk-${process.pid}.json`);
  const database = await startThrowaway();
  let desk = await startOperatorDesk(4990, { file });
  const appUrl = prepareDatabase(database.url, { demo: true });
  let server = await startServer(appUrl, 4970, 'error', desk.addresses);
  const page = await browser.newPage({ baseURL: server.url });
  try {
    await setDesk({ mood: 'down', answerNext: { answer: 'accepted' }, workingDays: 200, secondsPerDay: 1 }, desk.url);
    await signIn(page);
    const place = '3 Outage Lane';
    await signedJob(page, place);
    await expect(conversation(page)).toContainText('Trouble: It is out of order (503).', { timeout: 90_000 });

    // In order again but slow: the server is killed while it waits for the desk, which takes the pack in all the same.
    await setDesk({ mood: 'slow' }, desk.url);
    await expect.poll(async () => arriving(desk.url), { intervals: [100], timeout: 60_000 }).toBe(1);
    await server.stop('SIGKILL');
    await expect.poll(async () => (await setDesk({}, desk.url)).length, { timeout: 60_000 }).toBe(1);
    await setDesk({ mood: 'well' }, desk.url);
    const { port } = server;
    server = await startServer(appUrl, port, 'error', desk.addresses);
    expect(server.port).toBe(port);
    // The claim of the instance that died runs out first.
    await expect(conversation(page)).toContainText(/reference DESK-\d{5}/, { timeout: 60_000 });
    expect(await setDesk({}, desk.url)).toMatchObject([{ times: 2 }]);

    // Now the desk dies; it comes back with everything it had.
    const at = desk.port;
    await desk.stop('SIGKILL');
    await page.waitForTimeout(3000);
    desk = await startOperatorDesk(at, { file });
    expect(desk.port).toBe(at);
    await expect(conversation(page)).toContainText('Trouble: It cannot be reached.', { timeout: 90_000 });
    await setDesk({ skipDays: 300 }, desk.url);
    await expect(conversation(page)).toContainText('The operator: Accepted', { timeout: 90_000 });
    await goTo(page, 'Route');
    const entered = page.getByRole('list', { name: 'Entered' });
    await expect(entered.getByText('Sent to the operator')).toHaveCount(1);
    await expect(entered.getByText('Answered by the operator')).toHaveCount(1);
  } finally {
    await page.close();
    await server.stop();
    await desk.stop();
    database.stop();
    rmSync(file, { force: true });
  }
});
