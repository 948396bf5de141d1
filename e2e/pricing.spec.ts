import { diff, type Value } from '../core/src/record/changes';
import type { Survey } from '../core/src/survey/survey';
import type { Page } from '@playwright/test';
import { axeFindsNothing } from './axe';
import { expect, goTo, newJob, saved, signIn, test } from './journey';

// One firm has one price list: what one journey saves there is not to be written over by another at the same moment.
test.describe.configure({ mode: 'default' });

interface Stored {
  readonly survey: Survey;
  readonly revisionId: string;
}
async function stored(page: Page, jobId: string): Promise<Stored> {
  return (await (await page.request.get(`/api/jobs/${jobId}/survey`)).json()) as Stored;
}

/** A job of its own with the survey of a settled home of the demo, and what is different about it. */
async function jobLike(page: Page, search: string, place: string, differs: (survey: Survey) => void = () => undefined) {
  const address = await newJob(page, place);
  const jobId = address.split('/').at(-1) ?? '';
  const { jobs } = (await (await page.request.get(`/api/jobs?search=${encodeURIComponent(search)}`)).json()) as {
    readonly jobs: readonly { readonly id: string }[];
  };
  const like = structuredClone((await stored(page, jobs[0]?.id ?? '')).survey);
  const { survey, revisionId } = await stored(page, jobId);
  const { fit: _fit, ...wanted } = like;
  // Its own address, so that a search for the job of the demo goes on finding that one.
  wanted.place = { ...wanted.place, addressLine1: place };
  differs(wanted);
  const changes = diff(survey as unknown as Value, { ...wanted, photos: [] } as unknown as Value);
  const answer = await page.request.post(`/api/jobs/${jobId}/survey/revisions`, {
    data: { id: crypto.randomUUID(), parentId: revisionId, changes },
    headers: { origin: new URL(page.url()).origin },
  });
  expect(answer.ok() ? '' : await answer.text()).toBe('');
  return { address, jobId };
}

/** The columns of a price list as they are written. */
const HEADING = [
  'Item',
  'Name',
  'Unit',
  'Supplier',
  'Supplier code',
  'Buying price (£)',
  'Mark-up (%)',
  'Tax class',
  'Sold in',
  'Valid from',
];

/** Counts what somebody presses, as a person would count it. */
function pressing(page: Page): {
  readonly press: (name: string | RegExp, role?: 'button' | 'link') => Promise<void>;
  presses: number;
} {
  const counted = {
    presses: 0,
    press: async (name: string | RegExp, role: 'button' | 'link' = 'button') => {
      counted.presses += 1;
      await page.getByRole(role, { name }).first().click();
    },
  };
  return counted;
}

test('from a finished survey to a quotation, accepted on a phone, fitted without a signal, and a rate corrected', async ({
  page,
  browser,
}) => {
  test.slow();
  await signIn(page, 'maren');
  const { address, jobId } = await jobLike(page, '8 Almoner’s Court', '3 Quoted Row');
  await page.goto('/');
  await page
    .getByRole('link', { name: /Quoted Row/ })
    .first()
    .waitFor();

  // From the job to the link in the customer's hand: at most ten taps and two minutes.
  await page.goto(address);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  const began = Date.now();
  const taps = pressing(page);
  await taps.press('Quotation', 'link');
  await expect(page.getByRole('button', { name: 'Make the quotation' })).toBeEnabled();
  await taps.press('Make the quotation');
  await expect(page.getByRole('heading', { name: /^Q-\d+: not sent yet$/ })).toBeVisible();
  await taps.press('Make a link to hand over');
  const link = await page.getByText(/\/c\/quotation\.html#/).innerText();
  expect(taps.presses).toBeLessThanOrEqual(10);
  expect(Date.now() - began).toBeLessThan(120_000);
  await axeFindsNothing(page, 'quotation');

  // The customer, on a phone of their own.
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, locale: 'en-GB' });
  const customer = await phone.newPage();
  await customer.goto(link);
  await expect(customer.getByRole('heading', { name: 'Your quotation' })).toBeVisible();
  await axeFindsNothing(customer, 'the customer’s quotation');
  const sum = await customer.locator('dd.total').innerText();
  await customer.getByRole('button', { name: 'Ask something' }).click();
  await customer.getByLabel('Your question').fill('Can you come on a Friday?');
  await customer.getByRole('button', { name: 'Send the question' }).click();
  await expect(customer.getByText('Your question has been sent.')).toBeVisible();
  await customer.getByRole('button', { name: /^Accept for/ }).click();
  await customer.getByLabel('Your name').fill('N. Brearley');
  // The line breaks as it is sent: pressed again, it counts once.
  await phone.setOffline(true);
  await customer.getByRole('button', { name: 'Accept and order' }).click();
  await expect(customer.getByRole('alert')).toContainText('Nothing is lost');
  await phone.setOffline(false);
  await customer.getByRole('button', { name: 'Accept and order' }).click();
  await expect(customer.getByText('You accepted this quotation.')).toBeVisible();
  await customer.reload();
  await expect(customer.getByText('You accepted this quotation.')).toBeVisible();
  expect(await customer.locator('dd.total').innerText()).toBe(sum);
  await phone.close();

  // The firm sees it, and it is what was read.
  await page.reload();
  await expect(page.getByRole('heading', { name: /^Q-\d+: accepted$/ })).toBeVisible();
  await expect(page.getByText(/Accepted by N. Brearley/)).toBeVisible();
  await expect(page.getByText('Can you come on a Friday?')).toBeVisible();
  const pdf = await page.request.get(
    (await page.getByRole('link', { name: 'Open the PDF' }).getAttribute('href')) ?? '',
  );
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  await page.goto('/');
  await expect(page.getByText('Quotation accepted').first()).toBeVisible();

  // The fitter, without a signal.
  await page.goto(`${address}/crew`);
  await expect(page.getByRole('region', { name: 'Load in the van' })).toBeVisible();
  await axeFindsNothing(page, 'crew sheet');
  await page.context().setOffline(true);
  await page.getByRole('checkbox', { name: /^Device:/ }).check({ force: true });
  await page.getByRole('button', { name: /^Fitted differently: Section 1/ }).click();
  await page.getByLabel('As fitted', { exact: true }).fill('6');
  await page.getByLabel('Why', { exact: true }).fill('Round the downpipe');
  await page.getByRole('button', { name: 'Record what was fitted' }).click();
  await expect(page.getByRole('region', { name: 'Fitted differently' })).toContainText('6 m in place of 4 m');
  const hours = page.getByRole('region', { name: 'Hours and materials used' });
  await hours.getByText('Hours', { exact: false }).first().click();
  await hours.getByText(/at the end of the job/).click();
  await hours.getByLabel('Run and fix cable', { exact: true }).fill('0.6');
  await hours.getByLabel('Run and fix cable', { exact: true }).blur();
  await page.context().setOffline(false);
  await saved(page);
  const { survey } = await stored(page, jobId);
  expect(survey.proposals[0]?.circuit?.segments?.[0]?.lengthM).toBe(6);
  expect(survey.fit).toMatchObject({
    differences: [{ planned: '4 m', fitted: '6 m', why: 'Round the downpipe' }],
    hours: [{ id: 'run-cable', hours: 0.6 }],
  });

  // What the jobs took: the rate that would have been right is shown, and taken over by a person only.
  await page.goto('/firm/lessons');
  const lesson = page.getByRole('region', { name: 'Run and fix cable' });
  await expect(lesson).toContainText(/over 5 jobs/);
  const rate = async (): Promise<number | undefined> => {
    const { book } = (await (await page.request.get('/api/firm/prices')).json()) as {
      book: { rates: { task: string; hours?: number }[] };
    };
    return book.rates.find(({ task }) => task === 'run-cable')?.hours;
  };
  expect(await rate()).toBe(0.1);
  await lesson.getByRole('button', { name: /^Take .* over$/ }).click();
  await expect(lesson.getByRole('button')).toHaveCount(0);
  expect(await rate()).toBeGreaterThan(0.1);
});

test('a garage in two steps: each with its settings, its route and its sum, and the quotation says both', async ({
  page,
  browser,
}) => {
  await signIn(page, 'isla');
  const { address } = await jobLike(page, 'The Old Dairy', '4 Staged Yard');
  await page.goto(`${address}/materials`);
  const [first, second] = [page.getByRole('region', { name: 'Step 1' }), page.getByRole('region', { name: 'Step 2' })];
  await expect(first.getByText(/held to 16 A/)).toBeVisible({ timeout: 30_000 });
  await expect(second.getByText(/full rate, 32 A/)).toBeVisible();
  for (const step of [first, second]) {
    await expect(step.getByText('Fits', { exact: true })).toBeVisible();
    await expect(step.getByText(/Route: /)).toBeVisible();
  }
  await second.getByText('Materials in this step').click();
  await expect(second.getByText(/Armoured cable/)).toBeVisible();
  await expect(first.getByText(/Armoured cable, 3-core 16/)).toHaveCount(0);

  await goTo(page, 'Quotation');
  await page.getByRole('button', { name: 'Make the quotation' }).click();
  await page.getByRole('button', { name: 'Make a link to hand over' }).click();
  const link = await page.getByText(/\/c\/quotation\.html#/).innerText();
  const customer = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await customer.goto(link);
  const steps = customer.getByRole('listitem').filter({ hasText: /£/ });
  await expect(steps).toHaveCount(2);
  await expect(steps.nth(1)).toContainText('A cable of its own in spring');
});

test('an old three-phase charger replaced by a single-phase one on its cable, which is found chafed', async ({
  page,
}) => {
  await signIn(page, 'tobin');
  const { address } = await jobLike(page, '8 Almoner’s Court', '5 Chafed Lane', (survey) => {
    survey.supply.phases = 3;
    survey.supply.nodes.push({
      id: 'old',
      kind: 'device',
      label: 'Old charger device',
      fedFrom: 'board',
      ratingA: 32,
      curve: 'B',
      poles: 3,
      cable: {
        type: 'armoured',
        sizeMm2: 6,
        lengthM: 14,
        laid: 'clipped',
        cpc: 'core',
        circuitsTogether: 1,
        ambientC: 30,
        insulationMm: 0,
      },
    });
    survey.loads.push({
      id: 'old-car',
      class: 'ev-charging',
      label: 'Old charger',
      currentA: 32,
      phase: 'all',
      nodeId: 'old',
    });
    for (const proposal of survey.proposals) {
      Object.assign(proposal, { nodeId: 'old', phase: 'L1', limiter: { kind: 'none' } });
      delete proposal.circuit;
    }
  });
  // It is marked as replaced: demand after does not count it.
  await page.goto(`${address}/loads`);
  await page
    .getByRole('button', { name: /Old charger/ })
    .first()
    .click();
  await page.getByRole('radio', { name: 'Replaces it' }).check({ force: true });
  await page
    .getByRole('radiogroup', { name: 'Was the operator told of it in its day?' })
    .getByRole('radio', { name: 'Yes' })
    .check({ force: true });
  await saved(page);
  await page.goto(`${address}/circuit`);
  await page
    .getByRole('radiogroup', { name: /Is the circuit it hangs on used again/ })
    .getByRole('radio', { name: 'Yes' })
    .check({ force: true });
  await expect(page.getByText('Vehicle charger: is the old cable sound all the way?')).toBeVisible();
  await page.getByRole('radio', { name: /^\s*Damaged/ }).check({ force: true });
  await page.getByLabel('Where is it damaged, and how?').fill('chafed where it leaves the wall');
  await page.getByLabel('Conductors in the old cable', { exact: true }).fill('5');
  await page.getByLabel('Insulation resistance of the old cable', { exact: true }).fill('120');
  await expect(page.getByText(/the old cable is damaged: chafed where it leaves the wall/).first()).toBeVisible();
  await saved(page);
  // The pack says what goes, what comes, and that the old circuit is not right.
  await page.goto(`${address}/route`);
  await expect(page.getByText(/The new circuit is not right/).first()).toBeVisible();
  // Nothing is laid in its place until somebody says so: the materials take out the old one and terminate its cable.
  await page.goto(`${address}/materials`);
  await expect(page.getByText('Take out Old charger')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Materials' }).getByText(/Armoured cable/)).toHaveCount(0);
});

test('a price list with twenty faulty rows: each is told by its row, and what is right can be taken', async ({
  page,
}) => {
  await signIn(page, 'piers');
  await page.goto('/firm/prices');
  const bad = Array.from({ length: 20 }, (_each, at) => [
    at % 4 === 0 ? '' : `item-${at}`,
    at % 4 === 1 ? '' : `Item ${at}`,
    at % 4 === 2 ? 'kg' : 'each',
    '',
    '',
    at % 4 === 3 ? 'dear' : '1.00',
    '',
    '',
    '',
    '',
  ]);
  const good = ['new-thing', 'A new thing', 'each', 'Counter', 'N1', '12.34', '25', '', '', ''];
  const csv = [HEADING, ...bad, good].map((row) => row.join(',')).join('\r\n');
  const choosing = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Read a CSV …' }).click();
  await (await choosing).setFiles({ name: 'prices.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  const held = page.getByRole('region', { name: 'What the file holds' }).or(page.getByLabel('What the file holds'));
  await expect(held.first()).toContainText('1 items can be taken');
  await expect(held.first()).toContainText('20 faults in the file');
  await expect(held.first()).toContainText('Row 2, Item: is empty');
  await expect(held.first()).toContainText('Row 21, Buying price (£)');
  await expect(page.getByRole('button', { name: 'Replace the whole list' })).toBeDisabled();
  await page.getByRole('button', { name: 'Take these 1 over' }).click();
  await page.getByLabel('Search the price list').fill('new thing');
  await expect(page.locator('[data-line="A new thing"]')).toContainText('£12.34 + 25 %');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText(/Every price is worked out by it now/)).toBeVisible();
  await page.reload();
  await page.getByLabel('Search the price list').fill('new thing');
  await expect(page.locator('[data-line="A new thing"]')).toBeVisible();
});
