import { DIALECTS } from '../standins/logger';
import type { Page } from '@playwright/test';
import { choose, expect, goTo, newJob, saved, signIn, signOff, test } from './journey';
import { logOf } from './log-file';
import { pdfText } from './pdf';

/** A home with loads and a charger, standing at Loads. */
async function homeWithLoads(page: Page, place: string): Promise<void> {
  await newJob(page, place);
  await goTo(page, 'Intake and cut-out');
  await page.getByRole('button', { name: 'Fuse rating, each phase: 80 A' }).click();
  await choose(page, 'How is the rating known?', 'Label');
  await goTo(page, 'New equipment');
  await page.getByRole('button', { name: 'Add a vehicle charger' }).click();
  await page.getByRole('button', { name: 'Rated current, each phase: 16 A' }).click();
  await goTo(page, 'Loads');
  await page.getByRole('button', { name: 'Gas-heated home', exact: true }).click();
}

const sheet = (page: Page) => page.getByRole('dialog');

async function chooseFile(page: Page, file: { name: string; mimeType: string; buffer: Buffer }): Promise<void> {
  await page.getByRole('button', { name: 'Import a log' }).click();
  await sheet(page).locator('input[type=file]').setInputFiles(file);
}

// How each dialect is read is the core's to show; that a browser reads, draws and keeps one is shown by a good one and the worst.
for (const dialect of DIALECTS.filter((each) => each === 'three-phase' || each === 'nasty'))
  test(`a log is imported: ${dialect}`, async ({ page }) => {
    await signIn(page);
    await newJob(page, `${dialect} Lane`);
    await goTo(page, 'Loads');
    await chooseFile(page, logOf(dialect));
    await sheet(page).getByRole('button', { name: 'Read it like this' }).click();
    await expect(sheet(page).getByRole('heading', { name: 'Readings over time' })).toBeVisible();
    await expect(
      sheet(page).getByRole('heading', { name: /^A worse day: \d+\.\d A on one day in a year/ }),
    ).toBeVisible();
    if (dialect === 'nasty') await expect(sheet(page).getByText(/below nought: a reversed clamp/)).toBeVisible();
    await sheet(page).getByRole('button', { name: 'Keep it in the survey' }).click();
    await expect(page.getByRole('region', { name: 'Measured demand' })).toContainText('9 whole days');
    await saved(page);
  });

test('demand by each basis moves the gauge, the route and the pack; a wrong guess is put right and remembered', async ({
  page,
}) => {
  await signIn(page);
  await homeWithLoads(page, '7 Basis Road');
  const gauge = page.getByRole('region', { name: 'Gauge' });
  // By circuits 67.1 A, and 16 A on top.
  await expect(gauge.getByRole('button', { name: /^MD after: 83\.1 A/ })).toBeVisible();
  await choose(page, 'Declared maximum demand', 'By appliances');
  await page.getByRole('textbox', { name: 'Reason' }).fill('Listed room by room.');
  await expect(gauge.getByRole('button', { name: /^MD after: 5\d\.\d A/ })).toBeVisible();
  await page.getByText('Why the two figures differ').click();
  await expect(page.getByRole('row', { name: /^Socket circuits 44\.8 A 0\.0 A 44\.8 A/ })).toBeVisible();

  await test.step('a log without its unit is guessed wrong, and put right', async () => {
    const lines = logOf('three-phase').buffer.toString().split('\n');
    // A shape of its own, for the firm remembers the ones it has met.
    const shape = `made up ${Date.now()} times`;
    const bare = lines.map((line) =>
      line.replaceAll(' (W)', '').replace('made up', shape).replace('P_L2', 'temp 2').replace('P_L3', 'temp 3'),
    );
    await chooseFile(page, { name: 'bare.tsv', mimeType: 'text/plain', buffer: Buffer.from(bare.join('\n')) });
    await expect(sheet(page).getByText('No unit is named; amperes are taken.')).toBeVisible();
    await sheet(page).getByRole('button', { name: 'A Unit', exact: true }).click();
    await page.getByRole('option', { name: 'W', exact: true }).click();
    await sheet(page).getByRole('button', { name: 'Read it like this' }).click();
    await expect(sheet(page).getByRole('heading', { name: 'Readings over time' })).toBeVisible();
    await sheet(page).getByRole('button', { name: 'Keep it in the survey' }).click();
    await expect(page.getByRole('region', { name: 'Measured demand' })).toContainText('9 whole days');
    await chooseFile(page, { name: 'bare again.tsv', mimeType: 'text/plain', buffer: Buffer.from(bare.join('\n')) });
    await expect(sheet(page).getByText('is of a shape the firm has read before', { exact: false })).toBeVisible();
    await sheet(page).getByRole('button', { name: 'Close' }).click();
    await expect(sheet(page)).toHaveCount(0);
  });

  await test.step('declared by measurement', async () => {
    await choose(page, 'Declared maximum demand', 'By measurement');
    await expect(page.getByText('Declared by Maren Oakhanger')).toBeVisible();
    await expect(gauge.getByRole('button', { name: /^MD now: 2\d\.\d A/ })).toBeVisible();
    await expect(gauge).toContainText('measurement');
    await page.getByRole('button', { name: 'Compare methods' }).click();
    await expect(page.getByRole('region', { name: 'What it means for the decision' })).toContainText('By measurement');
    await goTo(page, 'Route');
    await expect(page.getByText('Maximum demand after the work is above', { exact: false })).toHaveCount(0);
  });

  await test.step('a glance at the clamp that shows more is not outvoted', async () => {
    await goTo(page, 'Loads');
    await page.getByRole('button', { name: 'Spot reading', exact: true }).click();
    await page.getByRole('textbox', { name: 'Spot reading' }).fill('58');
    await expect(gauge.getByRole('button', { name: /^MD now: .*58\.0 A/ })).toBeVisible();
    await expect(page.getByText(/but 58 A was measured/)).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(gauge.getByRole('button', { name: /^MD now: 2\d\.\d A/ })).toBeVisible();
  });

  await goTo(page, 'Pack');
  await saved(page);
  await signOff(page, 'For the test.');
  const packs = page.getByRole('region', { name: 'Packs' });
  const [file] = await Promise.all([page.waitForEvent('download'), packs.getByRole('link', { name: 'PDF' }).click()]);
  const { text } = await pdfText(await file.path());
  for (const words of ['By measurement', 'declared by Maren Oakhanger', '9 whole days', 'one day in a year'])
    expect(text.replace(/\s/g, '')).toContain(words.replace(/\s/g, ''));
});

test('files that are no log say why, and nothing is lost', async ({ page }) => {
  await signIn(page, 'tobin');
  await newJob(page, '3 Rubbish Row');
  await goTo(page, 'Loads');
  await page.getByRole('button', { name: 'Import a log' }).click();
  const files: readonly [string, Buffer, string][] = [
    ['picture.csv', Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 1]), 'This is neither text nor a workbook'],
    ['words.csv', Buffer.from('the cat,sat\non the,mat\n'), 'No column of times'],
    ['wide.csv', Buffer.from(`${'a,'.repeat(5000)}\n`), 'more than 2000 columns'],
    ['book.xlsx', Buffer.from('PK\u0003\u0004 rubbish'), 'This workbook cannot be read'],
    ['empty.csv', Buffer.alloc(0), 'The file is empty'],
  ];
  for (const [name, buffer, says] of files) {
    await sheet(page).locator('input[type=file]').setInputFiles({ name, mimeType: 'text/csv', buffer });
    await expect(sheet(page).getByText(says, { exact: false })).toBeVisible();
  }
});
