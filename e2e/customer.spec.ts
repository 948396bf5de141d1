import { CUSTOMER_STEPS } from '../core/src/customer/steps';
import { diff, type Value } from '../core/src/record/changes';
import type { Survey } from '../core/src/survey/survey';
import type { BrowserContext, Page } from '@playwright/test';
import pg from 'pg';
import { axeFindsNothing } from './axe';
import { expect, newJob, saved, signIn, test } from './journey';
import { pictures } from './own-device';

const STEPS = [
  'danger',
  'meter-position',
  'cut-out',
  'cut-out-label',
  'meter',
  'earth-wire',
  'gas-and-water',
  'board',
  'way',
  'parking',
  'signal',
  'heating',
  'shower',
  'bill',
] as const;
/** A meter point number nobody has; its check digit fits. */
const NUMBER = '9700000080011';

interface Stored {
  readonly survey: Survey;
  readonly revisionId: string;
}
async function stored(page: Page, jobId: string): Promise<Stored> {
  return (await (await page.request.get(`/api/jobs/${jobId}/survey`)).json()) as Stored;
}

/** A home of the demo that may be fitted first, in a job of its own and without its number. */
async function likeOneThatFits(page: Page, jobId: string): Promise<void> {
  const { jobs } = (await (await page.request.get('/api/jobs?route=fit-then-notify')).json()) as {
    readonly jobs: readonly { readonly id: string; readonly route: string }[];
  };
  const like = (await stored(page, jobs.find(({ route }) => route === 'fit-then-notify')?.id ?? '')).survey;
  const { survey, revisionId } = await stored(page, jobId);
  const { supply, loads, intake, earthing, readings, proposals, declaration, place } = like;
  const wanted: Survey = {
    ...survey,
    place: { ...survey.place, ...(place.premises ? { premises: place.premises } : {}) },
    supply,
    loads,
    intake,
    earthing,
    readings,
    proposals,
    declaration,
  };
  const changes = diff(survey as unknown as Value, wanted as unknown as Value);
  const answer = await page.request.post(`/api/jobs/${jobId}/survey/revisions`, {
    data: { id: crypto.randomUUID(), parentId: revisionId, changes },
    headers: { origin: new URL(page.url()).origin },
  });
  expect(answer.ok()).toBe(true);
}

/** The customer answers the step that is asked. */
async function answerStep(
  page: Page,
  step: (typeof STEPS)[number],
  picture: { name: string; mimeType: string; buffer: Buffer },
): Promise<void> {
  const choice = { danger: 'No', parking: 'Outdoors', signal: 'Three', heating: 'Gas', shower: 'Yes, one' }[
    step as string
  ];
  if (choice !== undefined) await page.getByRole('radio', { name: choice, exact: true }).check();
  if (step === 'bill') await page.getByLabel('The number').fill(NUMBER);
  if (choice === undefined && step !== 'bill') {
    await page.locator('input[type=file]').first().setInputFiles(picture);
    await expect(page.getByRole('button', { name: 'Remove photo 1' })).toBeVisible();
  }
  await page.getByRole('button', { name: 'Send and go on' }).click();
}

/** What a step asks, in the words of the demo’s firm, which are the usual ones. */
const askOf = (step: string): string => CUSTOMER_STEPS.find(({ id }) => id === step)?.ask ?? '';

const phone = (context: BrowserContext): Promise<Page> => context.newPage();

test('a customer on a phone and a bad line sends fourteen things, two are asked again, all are taken, and the route changes by it', async ({
  page,
  browser,
}) => {
  test.slow();
  await signIn(page, 'tobin');
  const address = (await newJob(page, `14 Osier Row ${Date.now()}`)).replace(/\/place$/, '');
  const jobId = address.split('/').at(-1) ?? '';
  await likeOneThatFits(page, jobId);
  await page.goto(`${address}/customer`);
  await expect(page.getByRole('heading', { name: 'Ask the customer' })).toBeVisible();
  await expect(page.getByText('Fit, then notify').first()).toBeVisible();
  await page.getByText('Choose the steps').click();
  for (const box of await page.getByRole('checkbox').all()) await box.uncheck({ force: true });
  for (const [at, { id }] of CUSTOMER_STEPS.entries())
    if ((STEPS as readonly string[]).includes(id)) await page.getByRole('checkbox').nth(at).check({ force: true });
  await expect(page.getByText('14 of 19 steps')).toBeVisible();
  await page.getByRole('button', { name: 'Make a link to hand over' }).click();
  const link = (await page.getByText(/\/c\/#/).textContent()) ?? '';
  const shots = await pictures(10, 900);

  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    serviceWorkers: 'block',
    locale: 'en-GB',
  });
  let customer = await phone(context);
  await customer.goto(link);
  await customer.getByRole('button', { name: 'Start' }).click();
  let shot = 0;
  await axeFindsNothing(customer, 'the customer’s first step');
  for (const [at, step] of STEPS.entries()) {
    // In the middle of it the line breaks, two more are answered without it, and the page is closed.
    if (at === 6) {
      await expect
        .poll(
          async () =>
            ((await (await page.request.get(`/api/jobs/${jobId}/customer`)).json()) as { answers: object[] }).answers
              .length,
        )
        .toBe(6);
      await context.setOffline(true);
    }
    if (at === 8) {
      await expect(customer.getByText('Step 9 of 14')).toBeVisible();
      await customer.close();
      await context.setOffline(false);
      customer = await phone(context);
      await customer.goto(link);
    }
    await expect(customer.getByRole('heading', { name: askOf(step) })).toBeVisible();
    await answerStep(
      customer,
      step,
      shots[shot++ % shots.length] ?? { name: '', mimeType: '', buffer: Buffer.alloc(0) },
    );
  }
  await expect(customer.getByText('Needs another look')).toHaveCount(0);
  await expect(customer.getByRole('button', { name: 'I am finished' })).toBeEnabled();
  await axeFindsNothing(customer, 'the customer’s last page');
  await customer.getByRole('button', { name: 'I am finished' }).click();
  await expect(customer.getByRole('heading', { name: 'Thank you' })).toBeVisible();

  await page.reload();
  const reply = (ask: RegExp) => page.getByRole('region', { name: ask });
  await expect(page.getByRole('button', { name: /^Take it/ })).toHaveCount(14);
  for (const [ask, reason] of [
    [/label or a tag/, 'The letters are blurred: hold still, please.'],
    [/electric shower/, 'Is there a cord in the ceiling of the bathroom?'],
  ] as const) {
    await reply(ask).getByRole('button', { name: 'Ask again …' }).click();
    await reply(ask)
      .getByLabel(/What should be different/)
      .fill(reason);
    await reply(ask).getByRole('button', { name: 'Ask again', exact: true }).click();
    await expect(reply(ask)).toHaveCount(0);
  }

  // The same link, and only that.
  await customer.goto('about:blank');
  await customer.goto(link);
  await expect(customer.getByRole('heading', { name: '2 things again, please' })).toBeVisible();
  await customer.getByRole('button', { name: 'Start' }).click();
  await expect(customer.getByText('The letters are blurred: hold still, please.')).toBeVisible();
  await answerStep(customer, 'cut-out-label', shots[9] ?? { name: '', mimeType: '', buffer: Buffer.alloc(0) });
  await expect(customer.getByText('Is there a cord in the ceiling of the bathroom?')).toBeVisible();
  await answerStep(customer, 'shower', shots[0] ?? { name: '', mimeType: '', buffer: Buffer.alloc(0) });
  await expect(customer.getByRole('heading', { name: '2 of 2 arrived' })).toBeVisible();
  await context.close();

  await page.reload();
  const take = page.getByRole('button', { name: /^Take it/ });
  for (let left = 14; left > 0; left -= 1) {
    await expect(take).toHaveCount(left);
    await take.first().click();
  }
  await expect(take).toHaveCount(0);
  await saved(page);
  await expect(page.getByText('Ask, then fit').first()).toBeVisible();
  await expect
    .poll(async () => {
      const { survey } = await stored(page, jobId);
      return [survey.statements?.length, survey.photos.length, survey.place.meterPointNumber];
    })
    .toEqual([14, 8, NUMBER]);
  const { survey } = await stored(page, jobId);
  expect(survey.photos.every(({ takenBy }) => takenBy === 'The customer')).toBe(true);
  expect(survey.loads.find(({ class: kind }) => kind === 'instantaneous-water-heating')).toMatchObject({
    assumed: true,
  });
});

test('a link that is withdrawn, and one past its day, open nothing and say the same', async ({ page, browser }) => {
  await signIn(page, 'tobin');
  const address = (await newJob(page, `15 Osier Row ${Date.now()}`)).replace(/\/place$/, '');
  await page.goto(`${address}/customer`);
  await page.getByRole('button', { name: 'Make a link to hand over' }).click();
  const link = (await page.getByText(/\/c\/#/).textContent()) ?? '';
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block' });
  const customer = await context.newPage();
  await customer.goto(link);
  await expect(customer.getByRole('button', { name: 'Start' })).toBeVisible();
  await page.getByRole('button', { name: 'Withdraw it' }).click();
  await expect(page.getByText('It is withdrawn.')).toBeVisible();
  await customer.reload();
  await expect(customer.getByRole('heading', { name: 'This link is closed' })).toBeVisible();
  const says = await customer.getByRole('main').textContent();
  // One past its day, and one that never was.
  await page.getByRole('button', { name: 'Make a link to hand over' }).click();
  await expect(page.getByText(/\/c\/#/)).not.toHaveText(link);
  const second = (await page.getByText(/\/c\/#/).textContent()) ?? '';
  const owner = new pg.Client({ connectionString: process.env['E2E_OWNER_DATABASE_URL'] ?? '' });
  await owner.connect();
  await owner.query("UPDATE customer_links SET expires_at = now() - interval '1 minute' WHERE job_id = $1", [
    address.split('/').at(-1),
  ]);
  await owner.end();
  await customer.goto('about:blank');
  await customer.goto(second);
  await expect(customer.getByRole('heading', { name: 'This link is closed' })).toBeVisible();
  expect(await customer.getByRole('main').textContent()).toBe(says);
  await customer.goto('about:blank');
  await customer.goto(`${new URL(link).origin}/c/#${'x'.repeat(32)}`);
  await expect(customer.getByRole('heading', { name: 'This link is closed' })).toBeVisible();
  expect(await customer.getByRole('main').textContent()).toBe(says);
  await context.close();
});

test('a customer’s data are handed out as a file and erased for good, by typing the job’s number', async ({ page }) => {
  await signIn(page, 'maren');
  const place = `16 Osier Row ${Date.now()}`;
  const address = (await newJob(page, place)).replace(/\/place$/, '');
  await page.getByLabel('Customer', { exact: true }).fill('P. Withy');
  await saved(page);
  await page.goto(`${address}/customer`);
  await page.getByText('The customer’s data').click();
  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Everything as a ZIP' }).click();
  expect((await saving).suggestedFilename()).toMatch(/^KG-\d+-everything\.zip$/);
  await page.getByRole('button', { name: 'Erase everything …' }).click();
  const button = page.getByRole('button', { name: 'Erase it for good' });
  await expect(button).toBeDisabled();
  const field = page.getByLabel(/^Type KG-\d+ to erase$/);
  const label = (await field.evaluate((each) => (each as HTMLInputElement).labels?.[0]?.textContent)) ?? '';
  await field.fill(/KG-\d+/.exec(label)?.[0] ?? '');
  await button.click();
  await expect(page.getByText(/Everything of this customer (is being|has been) erased/)).toBeVisible();
  const jobId = address.split('/').at(-1) ?? '';
  await expect
    .poll(async () => ((await (await page.request.get(`/api/jobs/${jobId}`)).json()) as { place: string }).place)
    .toBe('Erased');
  await page.goto('/');
  await page.getByLabel('Search jobs').fill('P. Withy');
  await expect(page.getByText(place)).toHaveCount(0);
});
