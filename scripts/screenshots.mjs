/** `npm run screenshots`: one current picture of each main view, from the demo data, into docs/screenshots. */
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { BROWSER_ARGS } from './machine/browser.mjs';
import { ensureBuilt } from './machine/build.mjs';
import { chromiumBinary, ensureDebian } from './machine/debian.mjs';
import { ensureDependencies } from './machine/dependencies.mjs';
import { prepareDatabase, startServer } from './machine/instance.mjs';
import { startLimiterBench } from './machine/limiter-bench.mjs';
import { startOperatorDesk } from './machine/operator-desk.mjs';
import { startThrowaway } from './machine/postgres.mjs';
import { ROOT } from './machine/root.mjs';

const OUT = join(ROOT, 'docs/screenshots');
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

/** Signs, hands the pack in, and has the operator's desk answer. */
async function handIn(page, _bench, desk) {
  const at = (change) =>
    fetch(`${desk.url}/desk`, {
      method: 'PATCH',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(change),
    });
  const note = 'We come to the fuse first.';
  await at({ answerNext: { answer: 'accepted-if', condition: 'fuse-visit', note }, secondsPerDay: 1, workingDays: 1 });
  const safety = page.getByRole('textbox', { name: /^Reason to sign although/ });
  for (let at = 0; at < (await safety.count()); at += 1) await safety.nth(at).fill('Seen to when it is fitted.');
  const reason = page.getByLabel('Why sign it with items missing?');
  if (await reason.isVisible()) await reason.fill('The operator asked for it early.');
  await page.getByLabel('Type your name to sign').fill('Maren Oakhanger');
  await page.getByRole('button', { name: 'Sign off and freeze' }).click();
  await page.getByRole('button', { name: /^Hand P-/ }).click({ timeout: 20_000 });
  await page.getByText(`Accepted on a condition. ${note}`).waitFor({ timeout: 40_000 });
}

/** What a customer sees who is asked about that job: a step with its drawn example. */
async function asCustomer(page) {
  const jobId = new URL(page.url()).pathname.split('/')[2];
  const made = await page.request.post(`/api/jobs/${jobId}/customer`, {
    data: { steps: ['danger', 'meter-position', 'cut-out', 'cut-out-label', 'meter', 'board', 'parking', 'bill'] },
  });
  await page.goto(`/c/#${(await made.json()).token}`);
  await page.getByRole('button', { name: 'Start' }).click();
  await page.getByRole('radio', { name: 'No', exact: true }).check();
  await page.getByRole('button', { name: 'Send and go on' }).click();
  await page.getByText('Step 2 of 8').waitFor();
}

/** Every policy of a row played. */
async function playRow(page) {
  const cars = page.getByRole('region', { name: 'How many cars' });
  await cars.getByRole('button', { name: 'Play ten years of each' }).click();
  await cars.getByText('40 of 40 played').waitFor({ timeout: 60_000 });
}

/** Every option with its sum, which comes from the server. */
async function priced(page) {
  await page.getByText(/^£/).first().waitFor();
}

/** Every bay compared. */
async function compareBays(page) {
  await page.getByRole('list', { name: 'Bays' }).waitFor({ timeout: 60_000 });
}

/** A quotation as its customer reads it. */
async function readQuotation(page) {
  const jobId = new URL(page.url()).pathname.split('/')[2];
  const { quotations } = await (await page.request.get(`/api/jobs/${jobId}/quotations`)).json();
  const made = await page.request.post(`/api/jobs/${jobId}/quotations/${quotations[0].id}/link`, { data: {} });
  await page.goto(`/c/quotation.html#${(await made.json()).token}`);
  await page.getByRole('heading', { name: 'Your quotation' }).waitFor();
}

async function playTrial(page) {
  await page.getByRole('button', { name: 'Play the trial' }).click();
  await page.getByText(/^100 of 100/).waitFor({ timeout: 120_000 });
}

/** Links the bench's charge point, has it give way, and takes what was read. */
async function commission(page, bench) {
  const world = (change) =>
    fetch(`${bench.house}/world`, {
      method: 'PATCH',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(change),
    });
  const panel = page.getByRole('region', { name: 'Commissioning the limiter' });
  await panel.getByRole('button', { name: 'Link the charge point' }).click();
  const typed = panel.getByRole('region', { name: 'Link to the charge point' }).getByRole('definition');
  await typed.first().waitFor();
  const [url, name, key] = await typed.allTextContents();
  await world({ manager: { url, name, key }, shower: true, kettle: true });
  await panel.getByRole('button', { name: /^Send it/ }).click({ timeout: 20_000 });
  await page.waitForTimeout(4000);
  await panel.getByRole('button', { name: 'Take what it settled at' }).click({ timeout: 30_000 });
  await panel.getByRole('button', { name: 'Read its settings' }).click();
  await panel.getByText('Passed').nth(1).waitFor();
}

/** Name, size, light, job (part of its place), station or page, buttons to press there or what to do, part to bring to the top. */
const VIEWS = [
  ['jobs', PHONE, 'paper', undefined, '/?order=next'],
  ['cut-out', DESK, 'cupboard', 'Ropewalk', 'cut-out'],
  ['line-up', DESK, 'paper', 'Boathouse', 'line-up'],
  ['earthing', DESK, 'daylight', 'High Sett', 'earthing'],
  ['loads', DESK, 'paper', 'Larkrise', 'loads'],
  ['pool', DESK, 'paper', 'Candle Court', 'pool', playRow, '^How many cars'],
  ['compare', DESK, 'paper', 'Larkrise', 'compare', priced, '^Options'],
  ['circuit', DESK, 'paper', 'Boathouse', 'circuit'],
  ['route', DESK, 'paper', 'Larkrise', 'route'],
  ['pack', DESK, 'paper', 'Larkrise', 'pack', handIn, '^Packs'],
  ['quotation', PHONE, 'paper', 'Chandler', 'quotation', readQuotation],
  ['crew', PHONE, 'paper', 'Almoner', 'crew'],
  ['diary', DESK, 'paper', undefined, '/diary'],

  ['trial', DESK, 'paper', 'Larkrise', 'compare', playTrial, '^Trial'],
  ['commissioning', DESK, 'paper', 'Larkrise', 'commissioning', commission, '^Commissioning'],
  ['site', DESK, 'paper', 'Candle Court', 'site', compareBays, '^Which supply feeds which bay'],
  ['next', PHONE, 'paper', 'High Sett', 'next'],
  ['from-customer', DESK, 'paper', 'Sluice', 'customer', undefined, 'label or a tag'],
  ['customer', PHONE, 'paper', 'Tallow', 'customer', asCustomer],
];

async function main() {
  ensureDebian({ postgres: true, chromium: true });
  ensureDependencies();
  ensureBuilt('server');
  ensureBuilt('web');
  mkdirSync(OUT, { recursive: true });
  const { chromium } = await import('@playwright/test');
  const database = await startThrowaway();
  const desk = await startOperatorDesk(4870);
  const server = await startServer(prepareDatabase(database.url, { demo: true }), 4850, 'warn', desk.addresses);
  const bench = await startLimiterBench(4860, 300);
  const browser = await chromium.launch({
    executablePath: chromiumBinary() ?? '',
    args: BROWSER_ARGS,
  });
  try {
    const page = await browser.newPage({
      viewport: DESK,
      baseURL: server.url,
      locale: 'en-GB',
      timezoneId: 'Europe/London',
    });
    await page.goto('/sign-in');
    await page.getByLabel('E-mail address').fill('maren@fennel.example');
    await page.getByLabel('Password').fill('keen-gauge-demo');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('heading', { name: 'Jobs' }).waitFor();
    for (const [name, size, light, place, station, button, part] of VIEWS) {
      await page.setViewportSize(size);
      await page.evaluate((chosen) => {
        localStorage.setItem('keen-gauge-light', chosen);
        localStorage.setItem('keen-gauge-hints-read', 'jobs station');
      }, light);
      await page.goto('/');
      const first = page.getByRole('link', { name: new RegExp(place ?? 'Candlemas') });
      await first.waitFor();
      if (!place && station) {
        await page.goto(station);
        await page.getByRole('heading', { level: 1 }).waitFor();
      }
      if (place) {
        const path = await first.getAttribute('href');
        await page.goto(`${path}/${station}`);
        await page.getByRole('heading', { level: 1 }).waitFor();
        if (station === 'history') await page.getByText('revision 1', { exact: false }).first().waitFor();
      }
      if (typeof button === 'function') await button(page, bench, desk);
      else
        for (const press of [button ?? []].flat()) await page.getByRole('button', { name: new RegExp(press) }).click();
      await page.waitForLoadState('networkidle');
      // What is still being fetched says so on the page, which no network tells before it has asked.
      await page.waitForFunction(() => !document.querySelector('[aria-busy=true]'));
      if (part) {
        const region = page.getByRole('region', { name: new RegExp(part) });
        const top = await region.evaluate((element) => element.getBoundingClientRect().top);
        await page.mouse.wheel(0, top - 190);
        await page.waitForTimeout(400);
      }
      // Charts measure the room they have before they draw.
      if (name === 'log') await page.waitForTimeout(1500);
      await page.screenshot({ path: join(OUT, `${name}.png`) });
      console.log(`docs/screenshots/${name}.png`);
    }
  } finally {
    await browser.close();
    bench.stop();
    await desk.stop();
    await server.stop();
    database.stop();
  }
}

await main();
