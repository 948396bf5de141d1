import type { Locator, Page } from '@playwright/test';
import { choose, expect, goTo, newJob, saved, signIn, test } from './journey';

const lineup = (page: Page): Locator => page.getByRole('listbox', { name: 'Supply line-up, from the street' });
const gauge = (page: Page): Locator => page.getByRole('region', { name: 'Gauge' });

/** One of a list that opens. */
async function pick(page: Page, within: Locator, label: string, option: string): Promise<void> {
  await within.getByRole('button', { name: new RegExp(`${label}$`) }).click();
  await page.getByRole('option', { name: option, exact: true }).click();
}

async function chooseRow(page: Page, name: RegExp): Promise<void> {
  await lineup(page).getByRole('option', { name }).click();
}

async function charger(page: Page): Promise<void> {
  await goTo(page, 'New equipment');
  await page.getByRole('button', { name: 'Add a vehicle charger' }).click();
  await page.getByRole('button', { name: 'Rated current, each phase: 32 A' }).click();
  await choose(page, 'Phases', 'Single-phase');
  await choose(page, 'Where do vehicles charge?', 'Outdoors');
}

test('a hill cottage on TT: recognised, read, an RCD that leaves a board out, found and put right', async ({
  page,
}) => {
  test.setTimeout(60000);
  await signIn(page, 'tobin');
  await newJob(page, '1 Scar End');
  await goTo(page, 'Loads');
  await page.getByRole('button', { name: 'Gas-heated home', exact: true }).click();
  await charger(page);
  await goTo(page, 'Line-up');
  await page.getByRole('button', { name: /^Two boards/ }).click();

  // Nothing is asked of the earth before the arrangement is known; the conductor followed settles it.
  await goTo(page, 'Earthing');
  const openHere = page.getByRole('region', { name: 'Still open here' });
  await expect(openHere).toContainText('The earthing arrangement is not known.');
  await choose(page, 'The supply comes on overhead lines', 'Yes');
  await expect(page.getByText('That suggests TT, and does not prove it.')).toBeVisible();
  await choose(page, 'The earthing conductor goes to a rod, plate or tape in the ground, and nowhere else', 'Yes');
  await page.getByRole('button', { name: 'Record TT' }).click();
  await expect(openHere).toContainText('TT: the electrode was not measured.');
  await page.getByRole('button', { name: 'Electrode resistance' }).click();
  await page.getByLabel('Electrode resistance, Ω').fill('240');
  await expect(openHere).toContainText('An electrode of 240 Ω is above 200 Ω');
  await page.getByLabel('Electrode resistance, Ω').fill('84');
  await expect(openHere).not.toContainText('An electrode of');

  // A time-delayed RCD before one board alone.
  const cover = page.getByRole('region', { name: 'RCD cover' });
  await expect(cover.getByText('No RCD recorded')).toHaveCount(2);
  await goTo(page, 'Line-up');
  await chooseRow(page, /^House board,/);
  await page.getByRole('button', { name: 'Put before' }).click();
  await page.getByRole('menuitem', { name: 'RCD', exact: true }).click();
  await choose(page, 'RCD type', 'A');
  await page.getByRole('button', { name: 'Residual current: 100 mA' }).click();
  await choose(page, 'Time-delayed?', 'Yes');
  await goTo(page, 'Earthing');
  await expect(cover.getByRole('listitem').filter({ hasText: 'House board' })).toContainText('Covered by RCD');
  await expect(openHere).toContainText('Second board: on TT, and not covered; RCD covers only House board.');

  // The remedy: before the split, where it covers both.
  await goTo(page, 'Line-up');
  await chooseRow(page, /^RCD,/);
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await chooseRow(page, /^Split block,/);
  await page.getByRole('button', { name: 'Put before' }).click();
  await page.getByRole('menuitem', { name: 'RCD', exact: true }).click();
  await choose(page, 'RCD type', 'A');
  await page.getByRole('button', { name: 'Residual current: 100 mA' }).click();
  await choose(page, 'Time-delayed?', 'Yes');
  await goTo(page, 'Earthing');
  await expect(cover.getByText('Covered', { exact: true })).toHaveCount(2);
  await expect(openHere).not.toContainText('not covered');

  // Bonding by what comes in; a vehicle outdoors needs nothing against an open PEN on TT.
  await choose(page, 'Gas, where it comes in', 'None here');
  await choose(page, 'Water, where it comes in', 'Metal');
  await choose(page, 'Water: bonded?', 'No');
  await expect(openHere).toContainText('Water: not bonded, and it comes in as metal.');
  await choose(page, 'Water: bonded?', 'Yes');
  await page.getByRole('button', { name: 'Water: bonding conductor: 10 mm²' }).click();
  await expect(openHere).not.toContainText('Water: not bonded');
  await expect(page.getByRole('region', { name: /^Open PEN/ })).toContainText('Nothing is needed.');
  await saved(page);
});

test('a boathouse on a thin long feeder: judged, a belief tested, held to a rate that holds everywhere', async ({
  page,
}) => {
  test.setTimeout(60000);
  await signIn(page, 'isla');
  await newJob(page, '2 Weir Reach');
  await goTo(page, 'Line-up');
  await page.getByRole('button', { name: /^With an outbuilding/ }).click();
  await goTo(page, 'Intake and cut-out');
  await page.getByRole('button', { name: 'Fuse rating, each phase: 100 A' }).click();
  await choose(page, 'How is the rating known?', 'Label');
  await goTo(page, 'Earthing');
  await choose(page, 'Arrangement', 'TN-S');
  await page.getByRole('button', { name: 'Loop impedance Ze' }).click();
  await page.getByLabel('Loop impedance Ze, Ω').fill('0.4');
  await charger(page);
  await page.getByRole('button', { name: /Fed from$/ }).click();
  await page.getByRole('option', { name: 'Outbuilding board' }).click();

  await goTo(page, 'Circuit and protection');
  const feeder = page.getByRole('region', { name: 'Outbuilding feeder' });
  const openHere = page.getByRole('region', { name: 'Still open here' });
  await expect(feeder).toContainText('What device feeds it? Not known');
  await expect(openHere).toContainText('Outbuilding feeder: What else runs there? Nothing is recorded.');
  await feeder.getByText('Its device and cable').click();
  await feeder.getByRole('button', { name: 'Device that feeds it: 16 A' }).click();
  await pick(page, feeder, 'Curve of the feeder’s device', 'B');
  await feeder.getByRole('button', { name: 'Its cable: 2.5 mm²' }).click();
  await feeder.getByLabel('Their length').fill('40');
  await pick(page, feeder, 'Cable', 'Armoured');
  await pick(page, feeder, 'How laid', 'In the ground or a duct');
  await choose(page, 'Protective conductor', 'A core of it');

  // At its 70 °C figures 18 mV/A/m × 16 A × 40 m = 11.52 V = 5.01 %, and the working says so.
  await expect(feeder.getByRole('button', { name: /^Device at full load: 5\.01 %/ })).toBeVisible();
  await feeder.getByRole('button', { name: /^Device at full load/ }).click();
  await expect(page.getByRole('dialog')).toContainText('18 × 16 × 40 ÷ 1000 = 11.52 V');
  await page.keyboard.press('Escape');

  // A winch of 4 A is placed there.
  await goTo(page, 'Loads');
  await page.getByRole('button', { name: 'Gas-heated home', exact: true }).click();
  await page.getByRole('button', { name: 'Paste lines' }).click();
  await page.getByLabel('One load a line').fill('4 A winch');
  // Nothing in the word says what a winch is: it is asked before it goes in.
  await page.getByRole('button', { name: /What is “4 A winch”\?$/ }).click();
  await page.getByRole('option', { name: 'Motors and pumps' }).click();
  await page.getByRole('button', { name: 'Add 1 load' }).click();
  const winch = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: 'Remove winch' }) });
  await winch.getByRole('button', { name: /^winch/ }).click();
  await pick(page, winch, 'Hangs from', 'Outbuilding board');

  await goTo(page, 'Circuit and protection');
  await expect(feeder).toContainText('12 A left for a charger of 32 A');
  await feeder.getByRole('button', { name: /thick enough for …”: 32 A/ }).click();
  await expect(feeder).toContainText('32 A: Fails');
  await expect(openHere).toContainText('its cable would not carry 32 A');
  await expect(feeder.getByRole('listitem').filter({ hasText: 'Clamps on the feeder' })).toContainText(
    'Set-points 14 A on the feeder',
  );

  // Held to 10 A: 14 A on the device, 4.38 % of drop; the gauge follows.
  await feeder.getByRole('button', { name: 'Hold it to 10 A' }).click();
  await expect(feeder).toContainText('4.38 % at its end');
  await expect(openHere).not.toContainText('left for a charger');
  await expect(gauge(page)).not.toContainText('over by');

  // Its own circuit: 1.5 mm² would add 0.38 % to 4.38 %; the smallest size found, the next beside it; undo takes the choice back.
  await pick(page, page.getByRole('region', { name: /^Cable and route/ }), 'Cable', 'Flat twin');
  await page.getByRole('button', { name: 'Add a stretch' }).click();
  const stretch = page.getByRole('region', { name: 'Stretch 1' });
  await stretch.getByLabel('Length', { exact: true }).fill('3');
  await pick(page, stretch, 'How laid', 'Clipped direct');
  await stretch.getByRole('button', { name: 'Air: 30 °C' }).click();
  const device = page.getByRole('region', { name: /^Device and RCD/ });
  await device.getByRole('button', { name: 'Device of the circuit: 20 A' }).click();
  await pick(page, device, 'Curve', 'B');
  const sizes = page.getByRole('region', { name: /^Size of the cable/ });
  await expect(sizes.getByRole('status')).toContainText(
    '1.5 mm² is the smallest that passes. The size below fails by current-carrying capacity.',
  );
  await sizes.getByRole('button', { name: 'Choose 4 mm²' }).click();
  await expect(sizes.getByRole('heading', { name: '4 mm², chosen' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(sizes.getByRole('heading', { name: '4 mm², chosen' })).toHaveCount(0);

  // Heat the table has no row for is said, not rounded.
  await stretch.getByRole('textbox', { name: 'Air' }).fill('33');
  await expect(sizes.getByRole('status')).toContainText('something is still missing');
  await stretch.getByRole('button', { name: 'Air: 30 °C' }).click();

  // What is left, by place.
  await page.getByRole('link', { name: /^To look at/ }).click();
  await expect(page.getByRole('heading', { name: 'To look at', level: 1 })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Where the vehicle charges' })).toContainText(
    'its place is not looked over',
  );
  await saved(page);
});
