import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, connect, type Server, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import sharp from 'sharp';
import { BROWSER_ARGS } from '../scripts/machine/browser.mjs';
import { freePort } from '../scripts/machine/ports.mjs';
import { startServer } from '../scripts/machine/instance.mjs';
import { expect } from './journey';

/** A telephone with a browser of its own, which can be closed and opened again: what it keeps outlives that. */
export class Telephone {
  private context: BrowserContext | undefined;
  private readonly directory = mkdtempSync(join(tmpdir(), 'keen-gauge-telephone-'));

  constructor(private readonly base: string) {}

  /** Opens the browser and one page in it. */
  async open(): Promise<Page> {
    this.context = await chromium.launchPersistentContext(this.directory, {
      baseURL: this.base,
      serviceWorkers: 'allow',
      viewport: { width: 390, height: 844 },
      locale: 'en-GB',
      timezoneId: 'Europe/London',
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      args: BROWSER_ARGS,
    });
    return this.context.pages()[0] ?? this.context.newPage();
  }

  async close(): Promise<void> {
    await this.context?.close();
    this.context = undefined;
  }

  async throwAway(): Promise<void> {
    await this.close();
    rmSync(this.directory, { recursive: true, force: true });
  }
}

/** Waits until this device has every picture that was chosen: one that it has not yet is gone with the page. */
export async function picturesKept(page: Page): Promise<void> {
  await expect(page.getByText('Being kept on this device')).toHaveCount(0);
}

/** A server of a journey's own, which it may kill. */
export class OwnServer {
  private running: Awaited<ReturnType<typeof startServer>> | undefined;
  private port = 0;

  async start(preferredPort: number): Promise<void> {
    this.running = await startServer(process.env['E2E_APP_DATABASE_URL'] ?? '', this.port || preferredPort, 'error');
    if (this.port !== 0 && this.running.port !== this.port)
      throw new Error(`port ${this.port} has been taken by something else`);
    this.port = this.running.port;
  }

  get url(): string {
    return `http://localhost:${this.port}`;
  }

  /** Killed as a power cut would; a second time it does nothing. */
  async kill(): Promise<void> {
    await this.running?.stop('SIGKILL');
    this.running = undefined;
  }
}

/** The wire between a telephone and a server: it counts what goes up, and breaks after so many bytes. */
export class Wire {
  /** Bytes gone up since the last cut was set. */
  up = 0;
  private left = Infinity;
  private listener: Server | undefined;
  private readonly open = new Set<Socket>();
  port = 0;

  constructor(private readonly serverPort: number) {}

  async start(preferredPort: number): Promise<void> {
    this.port = await freePort(preferredPort);
    this.listener = createServer((near) => {
      if (this.left <= 0) {
        near.destroy();
        return;
      }
      const far = connect(this.serverPort, '127.0.0.1');
      for (const each of [near, far]) {
        this.open.add(each);
        each.on('error', () => each.destroy());
        each.on('close', () => {
          this.open.delete(each);
          near.destroy();
          far.destroy();
        });
      }
      far.pipe(near);
      near.on('data', (part: Buffer) => {
        const through = part.subarray(0, Math.max(0, this.left));
        this.up += through.length;
        this.left -= through.length;
        // What is through arrives; what is not never will.
        far.write(through, () => {
          if (through.length < part.length) near.destroy();
        });
      });
    });
    await new Promise<void>((resolve) => this.listener?.listen(this.port, '127.0.0.1', resolve));
  }

  get url(): string {
    return `http://localhost:${this.port}`;
  }

  /** From now on so many bytes go up and no more, until it is mended. */
  cutAfter(bytes: number): void {
    this.up = 0;
    this.left = bytes;
    if (bytes === 0) for (const each of this.open) each.destroy();
  }

  /** Counting from nothing again. */
  mend(): void {
    this.up = 0;
    this.left = Infinity;
  }

  async stop(): Promise<void> {
    for (const each of this.open) each.destroy();
    await new Promise((resolve) => (this.listener ? this.listener.close(resolve) : resolve(undefined)));
  }
}

/** The whole application and the jobs meant for this person are on the device. */
export async function takenAlong(page: Page): Promise<void> {
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.goto('/device');
  await expect(page.getByRole('heading', { name: 'This device', level: 1 })).toBeVisible();
  await page.getByRole('button', { name: 'Take along now' }).click();
  const carried = page.getByRole('region', { name: 'Carried along' });
  await expect(carried.getByRole('listitem').first()).toBeVisible();
  await expect(carried.getByRole('status')).toHaveCount(0);
  // Every page of it is answered for by the worker from here on.
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
}

/** What was typed last is written down in the browser: a tenth of a second after it was typed, and what is closed before then is closed before then. */
export async function writtenDown(page: Page, text: string): Promise<void> {
  const unsaved = (): Promise<string> =>
    page.evaluate(
      () =>
        new Promise<string>((resolve, reject) => {
          const opening = indexedDB.open('keen-gauge');
          opening.onerror = () => {
            reject(new Error('not opened'));
          };
          opening.onsuccess = () => {
            const all = opening.result.transaction('unsaved').objectStore('unsaved').getAll();
            all.onsuccess = () => {
              opening.result.close();
              resolve(JSON.stringify(all.result));
            };
          };
        }),
    );
  await expect.poll(unsaved).toContain(text);
}

/** Pictures as a camera would give them, each another; the wider, the more bytes: 2000 px are about a megabyte. */
export function pictures(count: number, width = 400): Promise<{ name: string; mimeType: string; buffer: Buffer }[]> {
  const height = Math.round(width * 0.75);
  return Promise.all(
    Array.from({ length: count }, async (_, at) => {
      // Grain, as a real one has: an even colour would shrink to nothing.
      const grain = Uint8Array.from(
        { length: width * height * 3 },
        (__, pixel) => ((pixel + at) * 2_654_435_761) >>> 24,
      );
      const buffer = await sharp(grain, { raw: { width, height, channels: 3 } })
        .blur(1.1)
        .jpeg({ quality: 85 })
        .toBuffer();
      return { name: `picture-${at}.jpg`, mimeType: 'image/jpeg', buffer };
    }),
  );
}
