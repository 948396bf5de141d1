import { expect, test as base, type Locator, type Page } from '@playwright/test';

export const PASSWORD = 'keen-gauge-demo';

/** A test that fails when a page breaks the content security policy or throws an error nobody catches. */
export const test = base.extend({
  page: async ({ page }, use) => {
    const troubles: string[] = [];
    page.on('console', (message) => {
      if (/Content Security Policy/i.test(message.text())) troubles.push(message.text());
    });
    page.on('pageerror', (error) => troubles.push(error.message));
    await use(page);
    expect(troubles).toEqual([]);
  },
});

export { expect };

type Cookies = Awaited<ReturnType<ReturnType<Page['context']>['cookies']>>;
/** Who has signed in to which server, so that a hundred journeys do not each begin at the door. */
const SIGNED_IN = new Map<string, Cookies>();

/** At the list of jobs, signed in: the first time in this worker by the form, from then on with the same session. */
export async function signIn(page: Page, who = 'maren'): Promise<void> {
  await page.goto('/sign-in');
  const key = `${new URL(page.url()).origin} ${who}`;
  const known = SIGNED_IN.get(key);
  if (known) {
    await page.context().addCookies(known);
    await page.goto('/');
  } else {
    await signInByForm(page, who);
    SIGNED_IN.set(key, await page.context().cookies());
  }
  await expect(page.getByRole('heading', { name: 'Jobs', level: 1 })).toBeVisible();
}

/** A session of its own, for a journey that ends it. */
export async function signInByForm(page: Page, who = 'maren'): Promise<void> {
  await page.goto('/sign-in');
  await page.getByLabel('E-mail address').fill(`${who}@fennel.example`);
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Jobs', level: 1 })).toBeVisible();
}

/** Makes a job and stands at its first station; its address without the station. */
export async function newJob(page: Page, place: string): Promise<string> {
  await page.getByRole('button', { name: 'New job' }).click();
  const sheet = page.getByRole('dialog', { name: 'New job' });
  await sheet.getByLabel('Where').fill(place);
  await sheet.getByLabel('Job description').fill('Vehicle charger');
  await sheet.getByRole('button', { name: 'Start the survey' }).click();
  await expect(page.getByRole('heading', { name: 'Place and meter point' })).toBeVisible();
  return new URL(page.url()).pathname.replace(/\/$/, '');
}

export async function goTo(page: Page, station: string): Promise<void> {
  await page.getByRole('navigation', { name: 'Stations', exact: true }).getByRole('link', { name: station }).click();
  await expect(page.getByRole('heading', { name: station, level: 1 })).toBeVisible();
}

/** Opens what is recorded under that name, where it stands as a line; the place it is typed in. */
export async function opened(page: Page, label: string): Promise<Locator> {
  const line = page.locator(`[data-line="${label}"]`).first();
  const control = page.getByLabel(label, { exact: true }).first();
  await expect(line.or(control).first()).toBeVisible();
  if (await line.isVisible()) await line.click();
  return control;
}

/** Types a day into its field, day first, as a person would; `day` is YYYY-MM-DD. */
export async function typeDay(scope: Locator, label: string, day: string): Promise<void> {
  const [year, month, date] = day.split('-');
  await scope.getByRole('group', { name: label, exact: true }).getByRole('spinbutton').first().click();
  await scope.page().keyboard.type(`${date}${month}${year}`);
}

/** What is recorded under that name is this, whether it stands as a line or in its control. */
export async function recorded(page: Page, label: string, value: string): Promise<void> {
  const line = page.locator(`[data-line="${label}"]`);
  const control = page.getByLabel(label, { exact: true });
  await expect(async () => {
    if (await line.isVisible()) await expect(line).toContainText(value, { timeout: 1000 });
    else await expect(control).toHaveValue(value, { timeout: 1000 });
  }).toPass();
}

/** One tile of a question with tiles, by the word it is headed with. */
export async function choose(page: Page, question: string, answer: string): Promise<void> {
  const line = page.locator(`[data-line="${question}"]`).first();
  await expect(line.or(page.getByRole('radiogroup', { name: question, exact: true })).first()).toBeVisible();
  if (await line.isVisible()) await line.click();
  await page
    .getByRole('radiogroup', { name: question, exact: true })
    .getByRole('radio', { name: new RegExp(`^\\s*${answer}\\b`) })
    .check({ force: true });
}

/** Answers for every question of safety that is open, each with a reason of its own, and for the rest together. */
export async function answerFor(page: Page, reason: string): Promise<void> {
  await expect(page.getByLabel('Type your name to sign').or(page.getByLabel('Draw your signature here'))).toBeVisible();
  const safety = page.getByRole('textbox', { name: /^Reason to sign although/ });
  for (let at = 0; at < (await safety.count()); at += 1) await safety.nth(at).fill(`${reason} Answered for.`);
  const others = page.getByLabel('Why sign it with items missing?');
  if (await others.isVisible()) await others.fill(reason);
}

/** Signs what is there by typing the signer’s own name; with reasons where something is missing. */
export async function signOff(page: Page, reason?: string, name = 'Maren Oakhanger'): Promise<void> {
  if (reason !== undefined) await answerFor(page, reason);
  await page.getByLabel('Type your name to sign').fill(name);
  await page.getByRole('button', { name: 'Sign off and freeze' }).click();
}

export async function saved(page: Page): Promise<void> {
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved');
}

/** Reads a rating of 100 A on each part of the supply named, at the line-up. */
export async function readRatings(page: Page, names: readonly string[]): Promise<void> {
  await goTo(page, 'Line-up');
  for (const name of names) {
    await page.getByRole('option', { name: new RegExp(`^${name},`) }).click();
    await page.getByLabel(/^(Maximum current|Rating, each phase|Main switch rating)$/).fill('100');
  }
}
