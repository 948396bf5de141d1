import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { choose, expect, goTo, newJob, saved, signIn, signOff, test } from './journey';
import { pdfText } from './pdf';

/** A picture made in the page itself, as big as asked. */
async function picture(page: Page, colour: string, width = 800, height = 600): Promise<Buffer> {
  const base64 = await page.evaluate(
    async ({ fill, wide, high }) => {
      const canvas = new OffscreenCanvas(wide, high);
      const pen = canvas.getContext('2d');
      if (!pen) throw new Error('no canvas');
      pen.fillStyle = fill;
      pen.fillRect(0, 0, wide, high);
      const bytes = new Uint8Array(await (await canvas.convertToBlob({ type: 'image/jpeg' })).arrayBuffer());
      return btoa(String.fromCharCode(...bytes));
    },
    { fill: colour, wide: width, high: height },
  );
  return Buffer.from(base64, 'base64');
}

const lineup = (page: Page) => page.getByRole('listbox', { name: 'Supply line-up, from the street' });

test('the weakest link is found, and moved by editing nodes with the keyboard alone', async ({ page }) => {
  await signIn(page, 'tobin');
  await newJob(page, '2 Narrow Way');
  await goTo(page, 'Loads');
  await page.getByRole('button', { name: 'Gas-heated home', exact: true }).click();
  await goTo(page, 'New equipment');
  await page.getByRole('button', { name: 'Add a vehicle charger' }).click();
  await page.getByRole('button', { name: 'Rated current, each phase: 32 A' }).click();
  await goTo(page, 'Intake and cut-out');
  await page.getByRole('button', { name: 'Fuse rating, each phase: 100 A' }).click();
  await choose(page, 'How is the rating known?', 'Label');
  await goTo(page, 'Line-up');
  await expect(lineup(page).getByRole('option', { name: /^Cut-out,.*weakest link/ })).toBeVisible();

  // Down to the board, into its rating: 67.1 + 32 = 99.1 A through a 63 A main switch.
  await lineup(page)
    .getByRole('option', { name: /^Cut-out,/ })
    .focus();
  for (let at = 0; at < 3; at += 1) await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('heading', { name: 'Board', level: 2, exact: true })).toBeVisible();
  await page.keyboard.press('Enter');
  const rating = page.getByLabel('Main switch rating', { exact: true });
  for (let at = 0; at < 12 && !(await rating.evaluate((field) => field === document.activeElement)); at += 1)
    await page.keyboard.press('Tab');
  await page.keyboard.type('63');
  await expect(
    lineup(page).getByRole('option', {
      name: /^Board, 63 A, now 67\.1 A, after 99\.1 A, 36\.1 A over its rating, weakest link/,
    }),
  ).toBeVisible();
  await expect(page.getByRole('region', { name: 'Gauge' })).toContainText('weakest: Board, over by 36.1 A');
  await page.keyboard.press('Control+A');
  await page.keyboard.type('125');
  await expect(lineup(page).getByRole('option', { name: /^Cut-out,.*0\.9 A left, weakest link/ })).toBeVisible();

  // Split, add, move and remove, still without a mouse.
  await page.getByRole('button', { name: 'Split the tails' }).focus();
  await page.keyboard.press('Enter');
  await expect(lineup(page).getByRole('option')).toHaveCount(7);
  await page.getByRole('button', { name: 'Add below' }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.type('Feed');
  await page.keyboard.press('Enter');
  await expect(lineup(page).getByRole('option', { name: /^Feeder,/ })).toBeVisible();
  await page.getByRole('button', { name: 'Move to' }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.type('Fed from Mete');
  await page.keyboard.press('Enter');
  await expect(lineup(page).getByRole('option')).toHaveCount(8);
  await page.getByRole('button', { name: 'Remove', exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(lineup(page).getByRole('option')).toHaveCount(7);
  await page.keyboard.press('Control+z');
  await expect(lineup(page).getByRole('option', { name: /^Feeder,/ })).toBeVisible();
  await saved(page);
});

test('a hold, its release with a name and a reason, and the tree and photographs in the pack', async ({ page }) => {
  await signIn(page);
  await newJob(page, '9 Scorched Row');
  await goTo(page, 'Intake and cut-out');
  const gauge = page.getByRole('region', { name: 'Gauge' });
  await page.getByRole('button', { name: 'Look fault by fault' }).click();
  await choose(page, 'Compound leaking', 'Could not see');
  await choose(page, 'Scorching, discolouration or smell of heat', 'There');
  const fault = page.getByRole('group', { name: 'Scorching, discolouration or smell of heat', exact: true });
  await choose(page, 'How grave?', 'Make safe now');
  await expect(gauge).toContainText('Hold: make safe');
  const caution = page.getByText('Stop, keep clear, and phone the operator’s emergency line: 105.');
  await expect(caution).toBeVisible();
  await fault
    .locator('input[type=file]')
    .nth(1)
    .setInputFiles({
      name: 'scorch.jpg',
      mimeType: 'image/jpeg',
      buffer: await picture(page, '#703c1c'),
    });
  await fault.getByRole('button', { name: /^Open photograph 1/ }).click();
  await page.getByRole('textbox', { name: 'Caption' }).fill('Browned carrier');
  await page.getByRole('button', { name: 'Ring', exact: true }).click();
  await page.getByRole('button', { name: 'Put it in the middle' }).click();
  await page.getByRole('button', { name: 'Close' }).click();

  await page.getByRole('button', { name: 'Override the hold …' }).click();
  const confirm = page.getByRole('button', { name: 'Override the hold as Maren Oakhanger' });
  await expect(confirm).toBeDisabled();
  await page.getByLabel('Why the hold is overridden').fill('Operator attended, carrier changed, ref. W-88.');
  await confirm.click();
  await expect(gauge).toContainText('Ask, then fit');
  await expect(caution).toBeVisible();
  await page.getByRole('button', { name: 'Put the hold back' }).click();
  await expect(gauge).toContainText('Hold: make safe');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(gauge).toContainText('Ask, then fit');

  await goTo(page, 'Pack');
  await saved(page);
  await signOff(page, 'For the operator’s engineer.');
  const packs = page.getByRole('region', { name: 'Packs' });
  const [file] = await Promise.all([page.waitForEvent('download'), packs.getByRole('link', { name: 'PDF' }).click()]);
  const { text, pictures } = await pdfText(await file.path());
  for (const words of [
    'Hold overridden by Maren Oakhanger',
    'Operator attended, carrier changed, ref. W-88.',
    'Supply line-up, from the street',
    'Isolator',
    '1. Browned carrier',
    'Maren Oakhanger',
  ])
    expect(text.replace(/\s/g, '')).toContain(words.replace(/\s/g, ''));
  expect(pictures).toBe(1);
});

test('good and bad pictures: the bad ones say why, the good ones go in, a dropped link goes on without doubles', async ({
  page,
}) => {
  await signIn(page, 'isla');
  await newJob(page, '4 Picture Place');
  await page.getByRole('link', { name: /^Photographs/ }).click();
  const [red, green, blue] = [
    await picture(page, '#a02020'),
    await picture(page, '#20a020'),
    await picture(page, '#2020a0', 2400, 1800),
  ];
  const choose = page.locator('main input[type=file]').nth(1);
  await choose.setInputFiles([
    { name: 'meter.jpg', mimeType: 'image/jpeg', buffer: red },
    { name: 'notes.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('these are words') },
    { name: 'cut-off.jpg', mimeType: 'image/jpeg', buffer: green.subarray(0, green.length / 2) },
    { name: 'board.jpg', mimeType: 'image/jpeg', buffer: green },
  ]);
  const coming = page.getByRole('region', { name: 'Pictures on their way in' });
  await expect(coming.getByText('This is not a picture. JPEG, PNG and WebP are taken.')).toBeVisible();
  await expect(coming.getByText(/cut-off\.jpg/)).toBeVisible();
  await expect(coming.getByText(/cut off|damaged/).first()).toBeVisible();
  await expect(page.getByRole('button', { name: /^Open photograph/ })).toHaveCount(2);
  await page.getByRole('button', { name: 'Remove notes.jpg' }).click();
  await page.getByRole('button', { name: 'Remove cut-off.jpg' }).click();

  // The link drops on the way: the picture waits, through a reload, and goes in once.
  await page.route('**/uploads/**', (route) =>
    route.request().method() === 'PATCH' ? route.abort() : route.continue(),
  );
  await choose.setInputFiles([{ name: 'drive.jpg', mimeType: 'image/jpeg', buffer: blue }]);
  await expect(coming.getByText(/drive\.jpg/)).toBeVisible();
  await page.unroute('**/uploads/**');
  await page.reload();
  await expect(page.getByRole('button', { name: /^Open photograph/ })).toHaveCount(3, { timeout: 20_000 });
  await choose.setInputFiles([{ name: 'drive again.jpg', mimeType: 'image/jpeg', buffer: blue }]);
  await expect(coming.getByText('This very picture is in the job already.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Open photograph/ })).toHaveCount(3);

  await page.getByRole('button', { name: /^Open photograph 3/ }).click();
  await page.getByRole('button', { name: 'Nearer' }).click();
  await expect(page.getByRole('status', { name: 'Zoom' })).toHaveText('150 %');
  await page.getByRole('button', { name: 'Take out of the survey' }).click();
  await expect(page.getByRole('button', { name: /^Open photograph/ })).toHaveCount(2);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^Open photograph/ })).toHaveCount(3);
  const [zip] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'All as a zip' }).click(),
  ]);
  expect(
    readFileSync(await zip.path())
      .subarray(0, 2)
      .toString(),
  ).toBe('PK');
});
