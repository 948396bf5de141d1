import { readFileSync } from 'node:fs';
import { choose, expect, goTo, newJob, opened, saved, signIn, signOff, test } from './journey';
import { pdfText } from './pdf';

test('from the street to a notice: every station, the gauge, the route, sign-off, PDF and JSON', async ({ page }) => {
  test.slow();
  await signIn(page);
  await newJob(page, '3 Withy Close');
  const gauge = page.getByRole('region', { name: 'Gauge' });
  await expect(gauge).toContainText('Ask, then fit');
  await expect(gauge.getByRole('button', { name: /^MD now: Not known/ })).toBeVisible();

  await test.step('place and meter point', async () => {
    await page.getByLabel('Meter point number (MPAN)').fill('9700000012341');
    await expect(page.getByText('The last digit should be 0')).toHaveCount(2);
    await page.getByLabel('Meter point number (MPAN)').fill('9700000012340');
    await expect(page.getByText('Good: 97 0000 0012 340, distributor 97.')).toBeVisible();
    await page.getByLabel('Network operator').fill('Wold and Weir Networks');
    await choose(page, 'Kind of premises', 'Household');
    await page.getByLabel('Customer', { exact: true }).fill('T. Żółty-Ωmega');
    await page.getByLabel('Telephone').fill('01632 960 001');
    await (await opened(page, 'Address')).fill('3 Withy Close');
    await page.getByLabel('Town').fill('Netherby');
    await page.getByLabel('Postcode').fill('ZZ1 3WC');
    await choose(page, 'Nation', 'England');
    await expect(page.getByRole('link', { name: 'Place and meter point settled' })).toBeVisible();
  });

  await test.step('intake and cut-out', async () => {
    await goTo(page, 'Intake and cut-out');
    await choose(page, 'Cut-out, seal, cable and board looked at?', 'Looked, fine');
    await choose(page, 'Phases', 'Single-phase');
    await page.getByRole('button', { name: 'Fuse rating, each phase: 80 A' }).click();
    await choose(page, 'How is the rating known?', 'Moulding');
    await expect(gauge.getByRole('button', { name: /^Fallback: 60 A/ })).toBeVisible();
    await choose(page, 'How is the rating known?', 'Label');
    await expect(gauge.getByRole('button', { name: /^Fuse rating: 80 A/ })).toBeVisible();
    await page.getByLabel('Fuse rating, each phase', { exact: true }).fill('1e9');
    await expect(page.getByText('A number is expected; 80 A is still used.')).toBeVisible();
    await page.getByLabel('Fuse rating, each phase', { exact: true }).fill('999999');
    await expect(page.getByText('From 1 to 3000 A; 80 A is still used.')).toBeVisible();
    await page.getByLabel('Fuse rating, each phase', { exact: true }).fill('80');
  });

  await test.step('loop and earthing', async () => {
    await goTo(page, 'Loop');
    await choose(page, 'Loop status', 'Not looped');
    await choose(page, 'How is that known?', 'Cable traced');
    await goTo(page, 'Earthing');
    await choose(page, 'Arrangement', 'TN-S');
    await page.getByLabel('How it was recognised').fill('Clamp on the lead sheath.');
    await page.getByRole('button', { name: 'Loop impedance Ze' }).click();
    await page.getByLabel('Loop impedance Ze, Ω').fill('0,42');
    await page.getByRole('button', { name: /Instrument$/ }).click();
    await page.getByRole('option', { name: 'Loop tester, LT-0417' }).click();
  });

  await test.step('the line-up', async () => {
    await goTo(page, 'Line-up');
    for (const name of ['Meter', 'Isolator', 'Board']) {
      await page.getByRole('option', { name: new RegExp(`^${name},`) }).click();
      await page.getByLabel('Their length', { exact: true }).fill('0.8');
      await page
        .getByRole('button', { name: /^(Maximum current|Rating, each phase|Main switch rating): 100 A$/ })
        .click();
    }
    await page.getByRole('button', { name: 'Incoming tails: 25 mm²' }).click();
    await page.getByRole('button', { name: /^Take the other \d as fine, not looked at singly$/ }).click();
  });

  await test.step('loads: a usual set, then corrected', async () => {
    await goTo(page, 'Loads');
    await page.getByRole('button', { name: 'Gas-heated home', exact: true }).click();
    await expect(gauge.getByRole('button', { name: /^MD now: 67\.1 A/ })).toBeVisible();
    await page.getByRole('button', { name: 'Remove Ring, upstairs' }).click();
    await page.getByRole('button', { name: /^Ring, downstairs/ }).click();
    await page.getByLabel('Device rating', { exact: true }).fill('20');
    // What was corrected is confirmed with that; the others are assumed until somebody says they are right.
    await page.getByRole('button', { name: 'Confirm all as listed' }).click();
    // 0.52 + 21.13 + 0.65 + 20 = 42.3
    await expect(gauge.getByRole('button', { name: /^MD now: 42\.3 A/ })).toBeVisible();
    await gauge.getByRole('button', { name: /^MD now/ }).click();
    const working = page.getByRole('dialog', { name: 'MD now: 42.3 A' });
    await expect(working.getByText('10 + 30 % × 20.43 + 1 × 5 = 21.13 A')).toBeVisible();
    await page.keyboard.press('Escape');
  });

  await test.step('the new charger', async () => {
    await goTo(page, 'New equipment');
    await page.getByRole('button', { name: 'Add a vehicle charger' }).click();
    await page.getByRole('button', { name: 'Rated current, each phase: 32 A' }).click();
    await page.getByLabel('Make and model').fill('Brindle VC7');
    await choose(page, 'Phases', 'Single-phase');
    await expect(gauge.getByRole('button', { name: /^MD after: 74\.3 A/ })).toBeVisible();
    await goTo(page, 'Limit and clamp');
    await choose(page, 'How is it kept inside the supply?', 'Fixed limit');
    await page.getByRole('button', { name: 'Held to: 16 A' }).click();
    await expect(gauge.getByRole('button', { name: /^MD after: 58\.3 A/ })).toBeVisible();
    await expect(gauge.getByRole('button', { name: /^Headroom: 21\.7 A/ })).toBeVisible();
    await goTo(page, 'New equipment');
    await choose(page, 'On the type-tested register?', 'Yes');
    await page.getByLabel('Register reference').fill('BRI/VC7/0003');
    await choose(page, 'Can it send power back to the supply?', 'No');
    await choose(page, 'Where do vehicles charge?', 'Outdoors');
  });

  await test.step('earthing in full, and the circuit', async () => {
    await goTo(page, 'Earthing');
    await page.getByLabel('Size, copper', { exact: true }).fill('16');
    for (const service of ['Gas', 'Water']) await choose(page, `${service}, where it comes in`, 'Plastic');
    await goTo(page, 'Circuit and protection');
    const cable = page.getByRole('region', { name: /^Cable and route/ });
    await cable
      .getByRole('button', { name: /Cable$/ })
      .first()
      .click();
    await page.getByRole('option', { name: /^Flat twin/ }).click();
    await cable.getByRole('button', { name: 'Add a section' }).click();
    const section = page.getByRole('region', { name: 'Section 1' });
    await section.getByLabel('Length', { exact: true }).fill('10');
    await section.getByRole('button', { name: /How laid$/ }).click();
    await page.getByRole('option', { name: /^Clipped/ }).click();
    await section.getByRole('button', { name: 'Air: 30 °C' }).click();
    await choose(page, 'Does it lie anywhere in a wall under 50 mm deep, without earthed protection?', 'No');
    await page.getByRole('button', { name: 'Device of the circuit: 20 A' }).click();
    await page
      .getByRole('button', { name: /Curve$/ })
      .first()
      .click();
    await page.getByRole('option', { name: 'B', exact: true }).click();
    await choose(page, 'Where is its own RCD?', 'Beside its device');
    await choose(page, 'RCD type, new equipment', 'A');
    await page.getByRole('button', { name: 'Residual current, new equipment: 30 mA' }).click();
    await page.getByRole('button', { name: 'Rated current of the RCD: 40 A' }).click();
    await choose(page, 'Does it break the neutral as well as the line?', 'Yes');
    await choose(page, 'Does the equipment detect 6 mA of direct current and disconnect?', 'Yes');
  });

  await test.step('room for it on the board', async () => {
    await goTo(page, 'Line-up');
    await page.getByRole('option', { name: /^Board,/ }).click();
    await page.getByRole('button', { name: 'Spare ways: 2' }).click();
    await choose(page, 'Does its maker allow the new device in it?', 'Yes');
  });

  await test.step('the route', async () => {
    await expect(gauge).toContainText('Fit, then notify');
    await goTo(page, 'Route');
    // The answer shows what it rests on.
    const verdict = page.getByRole('button', { name: /^Cut-out fuse rating confirmed/ });
    await expect(verdict).toContainText('OK');
    await verdict.click();
    await expect(page.getByRole('region', { name: 'What this rests on' })).toContainText('80 A');
    await expect(page.getByText('Send the notice within 28 days of commissioning.')).toBeVisible();
    await page.getByText('Also asked of the operator').click();
    await choose(page, 'A larger cut-out fuse?', 'Yes');
    await expect(gauge).toContainText('Ask, then fit');
    await expect(page.getByText('One change would move it: equipment that suits the supply as it is.')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(gauge).toContainText('Fit, then notify');
  });

  await test.step('sign-off and downloads', async () => {
    await goTo(page, 'Pack');
    // What is settled while fitting is still open; nothing of safety is.
    await expect(page.getByRole('region', { name: 'Missing' })).toContainText('is its place right?');
    await expect(page.getByRole('region', { name: 'Safety' })).toHaveCount(0);
    await saved(page);
    await signOff(page, 'Place and surge protection are settled on the day.');
    const packs = page.getByRole('region', { name: 'Packs' });
    await expect(packs).toContainText('Notice of new equipment');
    const [pdf] = await Promise.all([page.waitForEvent('download'), packs.getByRole('link', { name: 'PDF' }).click()]);
    const { text, tagged, pages, pageTexts, tags, alternatives, fontsEmbedded } = await pdfText(await pdf.path());
    expect({ tagged, fontsEmbedded }).toEqual({ tagged: true, fontsEmbedded: true });
    // One heading of the whole, a table in each section with a heading to every row, the drawing with words for it.
    expect(tags['H1']).toBe(1);
    expect(tags['TH']).toBe(tags['TR']);
    expect(tags['H2'] ?? 0).toBeGreaterThan(8);
    expect(alternatives.length).toBeGreaterThan(0);
    // Every page says which pack it belongs to and of which survey it was made.
    const [number = ''] = /P-\d{4}/.exec((await packs.textContent()) ?? '') ?? [];
    const [fingerprint = ''] = /fingerprint ([0-9a-f]{16})/.exec((await packs.textContent()) ?? '')?.slice(1) ?? [];
    for (const said of pageTexts) {
      expect(said.replace(/\s/g, '')).toContain(number);
      expect(said.replace(/\s/g, '')).toContain(fingerprint);
    }
    for (const words of [
      'Notice of new equipment',
      'T. Żółty-Ωmega',
      '97 0000 0012 340',
      'Wold and Weir Networks',
      'Evidence: label',
      'TN-S',
      '0.42 Ω',
      'Loop tester, LT-0417',
      'Supply line-up, from the street',
      '58.3 A',
      '21.7 A',
      'Held to a fixed current 16 A',
      'BRI/VC7/0003',
      'Fit, then notify',
      'Maren Oakhanger',
      'FLE-QS-001',
      'Signature, typed: Maren Oakhanger',
      '10 + 30 % × 20.43 + 1 × 5 = 21.13 A',
      `page ${pages} of ${pages}`,
    ])
      // A name in two alphabets is set in two fonts, which readers of the file give back in pieces.
      expect(text.replace(/\s/g, '')).toContain(words.replace(/\s/g, ''));
    const [json] = await Promise.all([
      page.waitForEvent('download'),
      packs.getByRole('link', { name: 'JSON, open format' }).click(),
    ]);
    const survey = JSON.parse(readFileSync(await json.path(), 'utf8')) as Record<string, unknown>;
    expect(survey).toMatchObject({
      format: 'keen-gauge-survey',
      version: 2,
      place: { meterPointNumber: '9700000012340', customerName: 'T. Żółty-Ωmega' },
      earthing: { arrangement: 'tn-s' },
      readings: [{ kind: 'loop-impedance-external', value: 0.42 }],
      proposals: [{ ratedA: 32, limiter: { kind: 'fixed', fixedA: 16 } }],
    });
  });

  await test.step('the list shows it', async () => {
    await page.getByRole('link', { name: 'Back to the jobs' }).click();
    await page.getByLabel('Search jobs').fill('withy');
    // The newest, where a first go left another.
    const job = page.getByRole('link', { name: /3 Withy Close, Netherby/ }).first();
    await expect(job).toContainText('Signed off');
    await expect(job).toContainText('Fit, then notify');
    // What is left is the firm's own to look at; the operator has what it needs.
    await expect(job).toContainText('does its maker’s data allow this limit?');
    await page.getByLabel('Search jobs').fill('no such place');
    await expect(page.getByText('No job has “no such place” in it.')).toBeVisible();
  });
});

test('someone who may not sign is told so, and missing items need a reason', async ({ page, browser }) => {
  await signIn(page, 'isla');
  const path = await newJob(page, '5 Unsigned Lane');
  await goTo(page, 'Pack');
  await expect(page.getByText('You may not sign surveys off.')).toBeVisible();
  const other = await browser.newPage();
  await signIn(other, 'maren');
  await other.goto(`${path}/pack`);
  await expect(other.getByRole('button', { name: 'Sign off and freeze' })).toBeDisabled();
  await signOff(other, 'The operator wants it today.');
  await expect(other.getByRole('region', { name: 'Packs' })).toContainText(
    'signed with items missing: The operator wants it today.',
  );
  await other.close();
});

test('the office works by keyboard: new job, stations, undo and redo, history, shortcuts', async ({ page }) => {
  await signIn(page, 'piers');
  await page.getByRole('heading', { name: 'Jobs' }).click();
  await page.keyboard.press('n');
  await expect(page.getByLabel('Where')).toBeFocused();
  await page.keyboard.type('14 Keyboard Row');
  await page.keyboard.press('Tab');
  await page.keyboard.type('Charger');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Place and meter point' })).toBeVisible();
  await page.getByLabel('Town').fill('Overby');
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Town')).toHaveValue('');
  await page.keyboard.press('Control+y');
  await expect(page.getByLabel('Town')).toHaveValue('Overby');
  await saved(page);
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press(']');
  await expect(page.getByRole('heading', { name: 'Intake and cut-out' })).toBeFocused();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Help' })).toContainText('Undo in the survey');
  await page.keyboard.press('Escape');
  // Keys are the sheet’s until it has gone.
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('g');
  await page.keyboard.press('h');
  await expect(page.getByRole('heading', { name: /^History/ })).toBeVisible();
  await expect(page.getByText('Place: town: not known → Overby').first()).toBeVisible();
  await expect(page.getByText('Piers Wexcombe').nth(1)).toBeVisible();
});
