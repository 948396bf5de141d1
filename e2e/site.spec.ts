import { diff, type Value } from '../core/src/record/changes';
import type { Survey } from '../core/src/survey/survey';
import type { Page } from '@playwright/test';
import { axeFindsNothing } from './axe';
import { answerFor, expect, newJob, saved, signIn, signOff, test } from './journey';

interface Stored {
  readonly survey: Survey;
  readonly revisionId: string;
}

/** The survey of a job as the server has it. */
async function stored(page: Page, jobId: string): Promise<Stored> {
  return (await (await page.request.get(`/api/jobs/${jobId}/survey`)).json()) as Stored;
}

/** Four flats of the demo’s court and its landlord, in a job of their own: surveyed before anybody asks about bays. */
async function fourFlats(page: Page, jobId: string): Promise<void> {
  const { jobs } = (await (await page.request.get('/api/jobs?search=Candle%20Court')).json()) as {
    readonly jobs: readonly { readonly id: string; readonly place: string }[];
  };
  const like = (await stored(page, jobs.find(({ place }) => place.startsWith('Candle Court'))?.id ?? '')).survey;
  const { survey, revisionId } = await stored(page, jobId);
  const gone = /^flat-[56]-/;
  const { supply, loads, intake, earthing, readings, generation, site } = like;
  const wanted: Survey = {
    ...survey,
    place: { ...survey.place, premises: 'household' },
    supply: { ...supply, nodes: supply.nodes.filter(({ id }) => !gone.test(id)) },
    loads: loads.filter(({ nodeId = '' }) => !gone.test(nodeId)),
    intake,
    earthing,
    readings,
    ...(generation ? { generation } : {}),
    ...(site ? { site: { ...site, supplies: [] } } : {}),
  };
  const changes = diff(survey as unknown as Value, wanted as unknown as Value);
  const answer = await page.request.post(`/api/jobs/${jobId}/survey/revisions`, {
    data: { id: crypto.randomUUID(), parentId: revisionId, changes },
    headers: { origin: new URL(page.url()).origin },
  });
  expect(answer.status()).toBe(201);
}

test('four flats with fuses of their own against the landlord’s supply: to a recommendation, and its packs', async ({
  page,
}) => {
  test.slow();
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page);
  const address = (await newJob(page, '4 Flats Lane, Netherby')).replace(/\/place$/, '');
  await saved(page);
  await fourFlats(page, address.replace(/.*\//, ''));

  // Four bays are laid out, each outlet kept to stop where its clamps are lost.
  await page.goto(`${address}/pool`);
  const row = page.getByRole('region', { name: 'The row of bays' });
  await row.getByRole('textbox', { name: 'Bays' }).fill('4');
  await row.getByRole('button', { name: 'Lay out the row' }).click();
  const held = page.getByRole('region', { name: 'Set-point and sharing' });
  await held.getByLabel('Each outlet’s fail-safe current').fill('0');
  await page.getByRole('link', { name: 'Which supply feeds which bay' }).click();

  // Whose the supplies are, and each dwelling’s bay.
  const supplies = page.getByRole('region', { name: 'Supplies' });
  await supplies.locator('summary', { hasText: 'Supply by supply' }).click();
  await supplies
    .locator('li', { hasText: /^Landlord switch-fuse/ })
    .locator('summary')
    .click();
  await supplies
    .getByRole('radiogroup', { name: 'Whose supply is Landlord switch-fuse?' })
    .getByRole('radio', { name: 'The landlord’s' })
    .check({ force: true });
  await expect(page.getByRole('region', { name: 'The whole building' })).toContainText('4 dwellings20 kW');
  const bays = page.getByRole('region', { name: 'Which supply feeds which bay' });
  await bays.getByRole('button', { name: 'Give each dwelling one bay' }).click();

  // Every bay compared, and all of them on the landlord’s, which is cheapest.
  await expect(bays.getByText(/^4 on the landlord’s supply$/).first()).toBeVisible({ timeout: 60_000 });
  await expect(bays.getByText(/^The (soonest|cheapest) plan with every part within its rating/)).toBeVisible();
  const list = bays.getByRole('list', { name: 'Bays' });
  await expect(list.getByText('Landlord’s: OK')).toHaveCount(4);
  await axeFindsNothing(page, 'supplies and bays');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);

  // One is pinned to its own supply, and the rest moves.
  await list.locator('summary', { hasText: /^Bay 1/ }).click();
  await list.getByRole('button', { name: /Bay 1 is fed from/ }).click();
  await page.getByRole('option', { name: 'Always its own supply' }).click();
  await expect(bays.getByText(/^1 on its own supply, |Nothing can be recommended yet/).first()).toBeVisible({
    timeout: 60_000,
  });
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(bays.getByText(/^4 on the landlord’s supply$/).first()).toBeVisible({ timeout: 60_000 });
  await bays.getByRole('button', { name: 'Use this plan' }).click();
  await expect(bays.getByRole('button', { name: 'Use this plan' })).toHaveCount(0);
  await saved(page);

  // The pack of one supply, and that of the whole site.
  await page.goto(`${address}/pack?supply=flat-2-switch-fuse`);
  await expect(page.getByRole('button', { name: /Pack for/ })).toContainText('Flat 2 switch-fuse');
  await answerFor(page, 'Asked for before the rest is known.');
  await signOff(page);
  const packs = page.getByRole('region', { name: 'Packs' });
  await expect(packs.getByText(/, Flat 2 switch-fuse/)).toBeVisible();
  await page.goto(`${address}/pack`);
  await answerFor(page, 'Asked for before the rest is known.');
  await signOff(page);
  await expect(packs.getByText(/^P-\d+$/)).toHaveCount(2);
});
