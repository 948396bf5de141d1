import { expect, test as base, type Page } from '@playwright/test';

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

export async function signIn(page: Page, who = 'maren'): Promise<void> {
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
  await sheet.getByLabel('What is wanted').fill('Vehicle charger');
  await sheet.getByRole('button', { name: 'Start the survey' }).click();
  await expect(page.getByRole('heading', { name: 'Place and meter point' })).toBeVisible();
  return new URL(page.url()).pathname.replace(/\/$/, '');
}

export async function goTo(page: Page, station: string): Promise<void> {
  await page.getByRole('navigation', { name: 'Stations', exact: true }).getByRole('link', { name: station }).click();
  await expect(page.getByRole('heading', { name: station, level: 1 })).toBeVisible();
}

/** One tile of a question with tiles, by the word it is headed with. */
export async function choose(page: Page, question: string, answer: string): Promise<void> {
  await page
    .getByRole('radiogroup', { name: question, exact: true })
    .getByRole('radio', { name: new RegExp(`^\\s*${answer}\\b`) })
    .check({ force: true });
}

/** Signs what is there by typing a name; with a reason where something is missing. */
export async function signOff(page: Page, reason?: string): Promise<void> {
  if (reason !== undefined) await page.getByLabel('Why sign it with items missing?').fill(reason);
  await page.getByLabel('Type your name to sign').fill('M. Oakhanger');
  await page.getByRole('button', { name: 'Sign off and freeze' }).click();
}

export async function saved(page: Page): Promise<void> {
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved');
}
