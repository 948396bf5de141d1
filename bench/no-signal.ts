import { chromium, type Page } from '@playwright/test';
import sharp from 'sharp';
import { BROWSER_ARGS } from '../scripts/machine/browser.mjs';
import { report } from './report';

const JOBS = 8;
const PICTURES = 15;
const PICTURE_BYTES = 2_000_000;

/** A picture of about two megabytes, as a telephone gives them. */
async function picture(): Promise<Buffer> {
  const [width, height] = [2520, 1890];
  const noise = Buffer.from(Uint8Array.from({ length: width * height * 3 }, (_, at) => (at * 2_654_435_761) >>> 24));
  return sharp(noise, { raw: { width, height, channels: 3 } })
    .blur(0.8)
    .jpeg({ quality: 88 })
    .toBuffer();
}

/** Opening with nothing but what is on the device, and sending a day's work once there is a connection again. */
export async function benchNoSignal(base: string): Promise<void> {
  const browser = await chromium.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    args: BROWSER_ARGS,
  });
  try {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, baseURL: base });
    const page = await context.newPage();
    await page.goto('/sign-in');
    await page.getByLabel('E-mail address').fill('isla@fennel.example');
    await page.getByLabel('Password').fill('keen-gauge-demo');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.locator('main li a[href^="/jobs/"]').first().waitFor();
    await page.evaluate(() => navigator.serviceWorker.ready);
    await page.waitForTimeout(6000);
    await page.reload();
    await page.locator('main li a[href^="/jobs/"]').first().waitFor();
    await page.waitForTimeout(8000);

    await context.setOffline(true);
    const opened: number[] = [];
    for (let time = 0; time < 5; time += 1) {
      const cold = await context.newPage();
      const began = performance.now();
      await cold.goto('/');
      await cold.locator('main li a[href^="/jobs/"]').first().waitFor();
      opened.push(performance.now() - began);
      await cold.close();
    }
    opened.sort((a, b) => a - b);
    report('without a connection: the list of jobs, opened cold, median of five', (opened[2] ?? NaN) / 1000, 's', 1);

    await page.goto('/device');
    const jpeg = await picture();
    console.log(`  a day's work: ${JOBS} jobs, ${JOBS * PICTURES} photographs of ${(jpeg.length / 1e6).toFixed(1)} MB`);
    if (jpeg.length < PICTURE_BYTES * 0.7) console.log('  (smaller than the 2 MB that were meant)');
    await aDaysWork(page, jpeg.toString('base64'));
    await page.reload();
    await page
      .getByText('1 photograph')
      .first()
      .or(page.getByText(/photographs/).first())
      .waitFor();
    const began = performance.now();
    await context.setOffline(false);
    await page.getByText('Everything you did is with the server.').waitFor({ timeout: 900_000 });
    console.log(`  sent in ${((performance.now() - began) / 1000).toFixed(1)} s, everything filed`);
  } finally {
    await browser.close();
  }
}

/** Puts jobs and pictures where a day in a valley leaves them. */
async function aDaysWork(page: Page, jpeg: string): Promise<void> {
  await page.evaluate(
    async ({ base64, jobs, pictures }) => {
      const open = (name: string): Promise<IDBDatabase> =>
        new Promise((resolve, reject) => {
          const request = indexedDB.open(name);
          request.onsuccess = () => {
            resolve(request.result);
          };
          request.onerror = () => {
            reject(new Error(`${name} could not be opened`));
          };
        });
      const put = (db: IDBDatabase, store: string, value: object): Promise<void> =>
        new Promise((resolve, reject) => {
          const change = db.transaction(store, 'readwrite');
          change.objectStore(store).put(value);
          change.oncomplete = () => {
            resolve();
          };
          change.onerror = () => {
            reject(new Error(`nothing could be put into ${store}`));
          };
        });
      const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
      const device = await open('keen-gauge-device');
      const photos = await open('keen-gauge-photos');
      const personId = await new Promise<string>((resolve) => {
        const asked = device.transaction('person').objectStore('person').get('person');
        asked.onsuccess = () => {
          resolve((asked.result as { person: { id: string } }).person.id);
        };
      });
      for (let job = 0; job < jobs; job += 1) {
        const id = crypto.randomUUID();
        await put(device, 'newJobs', {
          id,
          personId,
          place: `${job + 1} Bench Row`,
          wanted: 'bench',
          revisionId: crypto.randomUUID(),
          madeAt: job,
        });
        for (let at = 0; at < pictures; at += 1) {
          // Each another picture: the server takes the very same one once.
          const file = new Blob([bytes, `${job} ${at}`], { type: 'image/jpeg' });
          const one = { id: crypto.randomUUID(), personId, jobId: id, file, fileName: `${at}.jpg`, chosenAt: at };
          await put(photos, 'photos', one);
        }
      }
      device.close();
      photos.close();
    },
    { base64: jpeg, jobs: JOBS, pictures: PICTURES },
  );
}
