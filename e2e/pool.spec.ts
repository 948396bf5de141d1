import { axeFindsNothing } from './axe';
import { expect, newJob, saved, signIn, test } from './journey';

test('a car park of forty bays: laid out, held, and grown to how many cars it carries and until when', async ({
  page,
}) => {
  test.slow();
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page);
  const address = (await newJob(page, '1 Car Park Lane, Netherby')).replace(/\/place$/, '');
  await saved(page);
  await page.goto(`${address}/pool`);
  const row = page.getByRole('region', { name: 'The row of bays' });
  await row.getByRole('textbox', { name: 'Bays' }).fill('40');
  await row.getByRole('button', { name: 'Lay out the row' }).click();
  const held = page.getByRole('region', { name: 'Set-point and sharing' });
  await held.getByLabel('Set-point, each phase').fill('60');
  await held.getByLabel('Each outlet’s fail-safe current').fill('0');
  const cars = page.getByRole('region', { name: 'How many cars' });
  await expect(cars.getByText(/^To be played it still needs/)).toBeVisible();
  await cars.locator('summary', { hasText: 'Everything else' }).click();
  await cars.getByLabel('Each phase, 17:00 to 22:00').fill('30');
  await cars.getByLabel('Each phase, at other hours').fill('12');
  for (const [label, value] of [
    ['First year', '2030'],
    ['Cars in the first year', '4'],
    ['Cars in the end', '40'],
    ['Year in which half of the others have come', '2036'],
  ] as const)
    await cars.getByLabel(label, { exact: true }).fill(value);
  await cars.getByRole('button', { name: 'Play ten years of each' }).click();
  await expect(cars.getByText(/^([4-9]|[1-3]\d) of 40 played/)).toBeVisible();
  await cars.getByRole('button', { name: 'Stop' }).click();
  await expect(cars.getByText(/stopped: what was played is kept/)).toBeVisible();
  await expect(cars.getByText(/^This supply carries (\d+ cars?|a car in every bay)/)).toBeVisible();
  await cars.getByRole('button', { name: 'Show it' }).click();
  await cars.getByLabel('Time of the night').press('ArrowRight');
  await expect(cars.getByText(/^(\d+ charge: bay|Nobody charges)/)).toBeVisible();
  await axeFindsNothing(page, 'bays and cars');
  // It is kept with the survey, and nothing is wider than a phone.
  await saved(page);
  await page.reload();
  await expect(row.getByText('40 bays on one phase.')).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
