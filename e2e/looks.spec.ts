import { axeFindsNothing } from './axe';
import { expect, goTo, signIn, test } from './journey';

const STATIONS = [
  'Place and meter point',
  'Intake and cut-out',
  'Loop',
  'Line-up',
  'Earthing',
  'Loads',
  'New equipment',
  'Limit and clamp',
  'Circuit and protection',
  'Compare options',
  'Route and dates',
  'Pack',
  'Commissioning',
  'Tests',
  'Labels and handover',
];

test('axe finds nothing before a job is open', async ({ page }) => {
  test.slow();
  await page.goto('/sign-in');
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await axeFindsNothing(page, 'sign-in');
  await signIn(page);
  await expect(page.getByRole('link', { name: /Ropewalk/ })).toBeVisible();
  await axeFindsNothing(page, 'jobs');
  await page.getByRole('button', { name: 'New job' }).click();
  await axeFindsNothing(page, 'new job');
});

// Two halves: each is long, and there are two to do them.
for (const half of [STATIONS.slice(0, 7), STATIONS.slice(7)])
  test(`axe finds nothing from ${half[0] ?? ''} to ${half.at(-1) ?? ''}`, async ({ page }) => {
    test.slow();
    await signIn(page);
    // The job on hold has every kind of notice; the boathouse has a board of its own to choose.
    await page.getByRole('link', { name: /Ropewalk/ }).click();
    for (const station of half) {
      await goTo(page, station);
      if (station === 'Loads') await page.getByRole('button', { name: /^Electric cooker/ }).click();
      if (station === 'Pack') await expect(page.getByText('None yet.')).toBeVisible();
      await axeFindsNothing(page, station);
    }
  });

test('axe finds nothing on what is behind the stations', async ({ page }) => {
  test.slow();
  await signIn(page);
  await page.getByRole('link', { name: /Ropewalk/ }).click();
  await page.getByRole('link', { name: /^Still to find out/ }).click();
  await expect(page.getByRole('heading', { name: 'Still to find out', level: 1 })).toBeVisible();
  await axeFindsNothing(page, 'to look at');
  await goTo(page, 'Intake and cut-out');
  await page.getByRole('button', { name: 'Look fault by fault' }).click();
  await page.getByRole('button', { name: 'Override the hold …' }).click();
  await axeFindsNothing(page, 'guided look and override');
  await page.getByRole('link', { name: /^Photographs/ }).click();
  await expect(page.getByRole('heading', { name: 'Photographs', level: 1 })).toBeVisible();
  await axeFindsNothing(page, 'photographs');
  await page.getByRole('button', { name: /^Open photograph 1/ }).click();
  await axeFindsNothing(page, 'one photograph');
  await page.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: /^MD after/ }).click();
  await axeFindsNothing(page, 'working');
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'History' }).click();
  await expect(page.getByRole('heading', { name: /^History/ })).toBeVisible();
  await axeFindsNothing(page, 'history');
  await page.getByRole('link', { name: 'Instruments' }).click();
  await expect(page.getByText('Calibration was due on 2026-10-31.')).toBeVisible();
  await axeFindsNothing(page, 'instruments');
  await page.getByRole('link', { name: 'This device' }).click();
  await expect(page.getByRole('heading', { name: 'This device', level: 1 })).toBeVisible();
  await axeFindsNothing(page, 'this device');
  await page.getByRole('link', { name: 'Firm settings' }).click();
  await page.getByRole('button', { name: 'Add equipment' }).click();
  await axeFindsNothing(page, 'the firm’s own');
  await page.getByRole('link', { name: 'Costs and waits' }).click();
  await axeFindsNothing(page, 'costs');
  await page.getByRole('link', { name: /^Rules/ }).click();
  await page.getByRole('button', { name: /^Copy Great Britain, usual/ }).click();
  await axeFindsNothing(page, 'rules');
});

for (const light of ['daylight', 'cupboard'])
  test(`axe finds nothing in ${light}, where every kind of colour is shown`, async ({ page }) => {
    await page.addInitScript((chosen) => {
      localStorage.setItem('keen-gauge-light', chosen);
    }, light);
    await signIn(page);
    await page.getByRole('link', { name: /Ropewalk/ }).click();
    await goTo(page, 'Loads');
    await expect(page.locator(`html[data-light=${light}]`)).toBeAttached();
    await axeFindsNothing(page, light);
  });

test('axe finds nothing where a job has more to show', async ({ page }) => {
  test.slow();
  await signIn(page);
  // A vehicle outdoors on PME, a feeder with its answers, a charger kept by a clamp.
  for (const [job, station] of [
    ['Candlemas', 'Earthing'],
    ['Boathouse', 'Circuit and protection'],
    ['Larkrise', 'Commissioning'],
  ] as const) {
    await page.goto('/');
    await page.getByRole('link', { name: new RegExp(job) }).click();
    await goTo(page, station);
    await page.waitForLoadState('networkidle');
    if (station === 'Commissioning') await page.getByRole('button', { name: 'Link the charge point' }).click();
    await axeFindsNothing(page, `${station}, ${job}`);
  }
  await page.goto('/');
  await page.getByRole('link', { name: /Larkrise/ }).click();
  await goTo(page, 'Loads');
  await page.getByRole('button', { name: 'Look at it' }).click();
  await expect(page.getByRole('button', { name: 'Read it like this' })).toBeVisible();
  await axeFindsNothing(page, 'how a log is read');
  await page.getByRole('button', { name: 'Read it like this' }).click();
  await expect(page.getByRole('heading', { name: 'Readings over time' })).toBeVisible();
  await axeFindsNothing(page, 'a log');
  await page.getByRole('button', { name: 'Close' }).click();
});

test('another firm’s job, or one that never was, is not found', async ({ page }) => {
  await signIn(page);
  await page.goto('/jobs/6f9619ff-8b86-4d01-b42d-00cf4fc964ff');
  await expect(page.getByText('There is no such job, or it is not your firm’s.')).toBeVisible();
});

test('axe finds nothing on people, accounts and what comes from a customer', async ({ page }) => {
  test.slow();
  await signIn(page);
  for (const [path, heading] of [
    ['/account', 'Passkeys'],
    ['/firm/people', 'People'],
    ['/firm/customer', 'What customers are asked'],
    ['/firm/mail', 'Mail'],
    ['/firm/privacy', 'How long customers’ data are kept'],
  ] as const) {
    await page.goto(path);
    await expect(page.getByRole('heading', { name: heading, level: 2 })).toBeVisible();
    await axeFindsNothing(page, path);
  }
  await page.goto('/');
  await page.getByRole('link', { name: /Sluice Cottages/ }).click();
  await page.getByRole('link', { name: /^From the customer/ }).click();
  await expect(page.getByRole('region', { name: /label or a tag/ })).toBeVisible();
  await axeFindsNothing(page, 'from the customer');
});
