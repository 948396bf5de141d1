import { createHash } from 'node:crypto';
import pg from 'pg';
import type { Browser, Page } from '@playwright/test';
import { prepareDatabase, startServer } from '../scripts/machine/instance.mjs';
import { startMailServer } from '../scripts/machine/mail-server.mjs';
import { expect, newJob, saved, test } from './journey';

const PASSWORD = 'a gate between two larches';
const CODE = 'ABCD-EFGH-2345-6789';

interface Mails {
  readonly mails: readonly { readonly to: string; readonly subject: string; readonly text: string }[];
}

/** A server of its own, on a database nobody has used yet, with a mail server beside it; on ports of its own, since two may be started at one moment. */
async function emptyServer(port: number): Promise<{
  readonly url: string;
  readonly linkTo: (address: string, nth?: number) => Promise<string>;
  readonly stop: () => Promise<void>;
}> {
  const name = `empty_${crypto.randomUUID().replaceAll('-', '')}`;
  const url = new URL(process.env['E2E_OWNER_DATABASE_URL'] ?? '');
  const admin = new pg.Client({ connectionString: url.toString() });
  await admin.connect();
  await admin.query(`CREATE DATABASE ${name}`);
  await admin.end();
  url.pathname = `/${name}`;
  const appUrl = prepareDatabase(url.toString(), { demo: false });
  const mail = await startMailServer(port);
  const server = await startServer(appUrl, port + 10, 'error', undefined, mail.smtpUrl);
  // In place of the code that it prints.
  const owner = new pg.Client({ connectionString: url.toString() });
  await owner.connect();
  await owner.query('INSERT INTO setup_codes (digest) VALUES ($1)', [
    createHash('sha256')
      .update(`setup ${CODE.replaceAll('-', '')}`)
      .digest(),
  ]);
  await owner.end();
  const linkTo = async (address: string, nth = 0): Promise<string> => {
    const links = async (): Promise<string[]> => {
      const { mails } = (await (await fetch(`${mail.url}/mails`)).json()) as Mails;
      return mails.filter(({ to }) => to === address).map(({ text }) => /https?:\/\/\S+#\S+/.exec(text)?.[0] ?? '');
    };
    await expect.poll(async () => (await links()).length, { timeout: 60_000 }).toBeGreaterThan(nth);
    return (await links())[nth] ?? '';
  };
  return {
    url: server.url,
    linkTo,
    stop: async () => {
      await server.stop();
      await mail.stop();
    },
  };
}

const pageAt = async (browser: Browser, baseURL: string): Promise<Page> =>
  (await browser.newContext({ baseURL, serviceWorkers: 'block', viewport: { width: 390, height: 844 } })).newPage();

async function join(page: Page, link: string): Promise<void> {
  await page.goto(link);
  await page.getByLabel('Password', { exact: true }).fill(PASSWORD);
  await page.getByRole('button', { name: /^Join/ }).click();
  await expect(page.getByRole('heading', { name: 'Jobs', level: 1 })).toBeVisible();
}

test('an empty database becomes a working firm of three; one is let go while working, and a password is recovered', async ({
  page,
  browser,
}) => {
  test.slow();
  const server = await emptyServer(5010);
  try {
    await page.goto(server.url);
    await expect(page.getByRole('heading', { name: 'Set up Keen Gauge' })).toBeVisible();
    for (const [label, text] of [
      ['Code', 'abcd efgh 2345 6789'],
      ['Firm', 'Saltmarsh Electrical'],
      ['Your name', 'Wren Ashdown'],
      ['E-mail address', 'wren@saltmarsh.example'],
      ['Password', PASSWORD],
    ] as const)
      await page.getByLabel(label, { exact: true }).fill(text);
    await page.getByRole('button', { name: 'Set up the firm' }).click();
    await expect(page.getByRole('heading', { name: 'People', level: 2 })).toBeVisible();

    // One by mail, one by a link that is handed over.
    const invite = async (name: string, email: string, role: string, button: string): Promise<void> => {
      await page.getByRole('button', { name: 'Invite somebody' }).click();
      const form = page.getByRole('region', { name: 'Invite somebody' });
      await form.getByLabel('E-mail address').fill(email);
      await form.getByLabel('Name').fill(name);
      await form.getByRole('radio', { name: new RegExp(`^${role}`) }).check({ force: true });
      await form.getByRole('button', { name: button }).click();
      await expect(form).toHaveCount(0);
    };
    await invite('Fern Hollin', 'fern@saltmarsh.example', 'Surveyor', 'Send the invitation');
    await invite('Olga Teasel', 'olga@saltmarsh.example', 'Office', 'Make a link to hand over');
    const handed = (await page.getByText(/\/link#/).textContent()) ?? '';
    await expect(page.getByRole('region', { name: 'Invited' }).getByText('Fern Hollin')).toBeVisible();

    const fern = await pageAt(browser, server.url);
    const mailed = await server.linkTo('fern@saltmarsh.example');
    await join(fern, mailed);
    const olga = await pageAt(browser, server.url);
    await join(olga, handed);
    // Each works once.
    const again = await pageAt(browser, server.url);
    await again.goto(mailed);
    await expect(again.getByRole('heading', { name: 'This link does not open anything' })).toBeVisible();
    await again.context().close();

    const address = await newJob(fern, '1 Saltern Lane');
    await fern.getByLabel('Town').fill('Saltern');
    await saved(fern);
    await olga.goto('/');
    await expect(olga.getByText('1 Saltern Lane')).toBeVisible();

    // Let go while working: signed out at once, what they did stays.
    await page.reload();
    await page.getByRole('button', { name: 'Let Fern Hollin go' }).click();
    await page.getByRole('button', { name: 'Let Fern Hollin go' }).last().click();
    await expect(page.getByRole('region', { name: 'Left' }).getByText('Fern Hollin')).toBeVisible();
    await fern.getByLabel('Postcode').fill('ZZ7 1SL');
    await expect(fern.getByRole('status', { name: 'Saving' })).toContainText('signed out');
    await fern.goto('/');
    await expect(fern.getByRole('button', { name: 'Sign in', exact: true })).toBeVisible();
    await page.goto(`${server.url}${address}`);
    await expect(page.getByText('Saltern', { exact: true }).first()).toBeVisible();

    // A lost password, and the one before it.
    await olga.context().clearCookies();
    await olga.goto('/sign-in');
    await olga.getByRole('button', { name: 'Lost your password?' }).click();
    await olga.getByLabel('E-mail address').fill('olga@saltmarsh.example');
    await olga.getByRole('button', { name: 'Send me a link' }).click();
    await expect(olga.getByRole('status')).toContainText('a link to a new password is on its way');
    await olga.goto(await server.linkTo('olga@saltmarsh.example'));
    await olga.getByLabel('Password', { exact: true }).fill('three kettles and a plum');
    await olga.getByRole('button', { name: 'Set the new password' }).click();
    await expect(olga.getByRole('heading', { name: 'Jobs', level: 1 })).toBeVisible();
    for (const each of [fern, olga]) await each.context().close();
  } finally {
    await server.stop();
  }
});

test('a passkey is made with the password and signs in without it; taken away, it opens nothing', async ({ page }) => {
  const server = await emptyServer(5040);
  try {
    const answer = await page.request.post(`${server.url}/api/access/set-up`, {
      data: {
        code: CODE,
        firm: 'Saltmarsh Electrical',
        name: 'Wren',
        email: 'wren@saltmarsh.example',
        password: PASSWORD,
      },
      headers: { origin: server.url },
    });
    expect(answer.status()).toBe(201);
    const devtools = await page.context().newCDPSession(page);
    await devtools.send('WebAuthn.enable');
    await devtools.send('WebAuthn.addVirtualAuthenticator', {
      options: {
        protocol: 'ctap2',
        transport: 'internal',
        hasResidentKey: true,
        hasUserVerification: true,
        isUserVerified: true,
        automaticPresenceSimulation: true,
      },
    });
    await page.goto(`${server.url}/account`);
    const panel = page.getByRole('region', { name: 'Passkeys' });
    await panel.getByRole('button', { name: 'Add a passkey' }).click();
    await panel.getByLabel('Your password, once more').fill('not that one');
    await panel.getByRole('button', { name: 'Make a passkey on this device' }).click();
    await expect(panel.getByText('The password you have now is not that one.')).toBeVisible();
    await panel.getByLabel('Your password, once more').fill(PASSWORD);
    await panel.getByRole('button', { name: 'Make a passkey on this device' }).click();
    await expect(panel.getByRole('listitem')).toHaveCount(1);

    await page.context().clearCookies();
    await page.goto(`${server.url}/sign-in`);
    await page.getByRole('button', { name: 'Use a passkey' }).click();
    await expect(page.getByRole('heading', { name: 'Jobs', level: 1 })).toBeVisible();

    await page.goto(`${server.url}/account`);
    await expect(panel.getByText(/last used/)).toBeVisible();
    await panel.getByRole('button', { name: /^Remove the passkey/ }).click();
    await expect(panel.getByRole('listitem')).toHaveCount(0);
    await page.context().clearCookies();
    await page.goto(`${server.url}/sign-in`);
    await page.getByRole('button', { name: 'Use a passkey' }).click();
    await expect(page.getByText(/This passkey opens nothing here/)).toBeVisible();
  } finally {
    await server.stop();
  }
});
