import { STATIONS, type Station } from '@keen-gauge/core/finding';
import type { Page } from '@playwright/test';
import { demoJob, openPage } from './browser';
import { quantile, report } from './report';

/** Where nobody types or answers anything of the survey: a pack is signed, a charge point is spoken to, a quotation is made, a sheet is ticked. */
const NOT_TYPED_AT: readonly Station[] = ['pack', 'commissioning', 'quotation', 'crew'];
const TYPED_AT = STATIONS.filter((station) => !NOT_TYPED_AT.includes(station));

const KEYS = 70;

interface Typed {
  /** From a key to the painted frame that has it. */
  readonly frames: number[];
  /** From a key to when nothing is left to do: the gauge, the walk and the station have followed. */
  readonly followed: number[];
  /** The longest task of the page's own thread meanwhile. */
  readonly longest: number;
}

/** Keys in the first field of a station, in milliseconds. */
async function typed(page: Page): Promise<Typed> {
  await page.locator('main h2, main input').first().waitFor();
  const typing = page.locator('main input:not([type=radio], [type=checkbox], [type=file], [type=hidden])');
  // A station of answers alone has no field: there the keys go from answer to answer.
  const field = (await typing.count()) > 0 ? typing.first() : page.locator('main input[type=radio]').first();
  return field.evaluate(async (element, keys) => {
    const input = element as HTMLInputElement;
    const put = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value');
    const before = input.value;
    const answers = [...document.querySelectorAll<HTMLInputElement>('main input[type=radio]')].filter(
      ({ name }) => name === input.name,
    );
    const set = (at: number) => {
      if (input.type === 'radio') return answers[at % answers.length]?.click();
      put?.set?.call(input, at === keys - 1 ? before : String(40 + (at % 50)));
      input.dispatchEvent(new Event('input', { bubbles: true }));
    };
    const tasks: number[] = [];
    const watcher = new PerformanceObserver((list) => {
      tasks.push(...list.getEntries().map(({ duration }) => duration));
    });
    const frames: number[] = [];
    const followed: number[] = [];
    for (let at = 0; at < keys; at += 1) {
      await new Promise((resolve) => setTimeout(resolve, 80));
      // What the first keys compile is not what the next thousand cost.
      if (at === 10) watcher.observe({ type: 'longtask' });
      const start = performance.now();
      // As a key does: what of the page has not followed the one before is drawn first.
      input.dispatchEvent(new KeyboardEvent('keydown', { bubbles: true }));
      set(at);
      // The frame after the one that carries the change has it on the screen.
      await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0)));
      frames.push(performance.now() - start);
      await new Promise((resolve) => requestIdleCallback(resolve));
      followed.push(performance.now() - start);
    }
    await new Promise((resolve) => setTimeout(resolve, 300));
    watcher.disconnect();
    return { frames: frames.slice(10), followed: followed.slice(10), longest: Math.max(0, ...tasks) };
  }, KEYS);
}

/** Keys at the stations of a job, one line printed for each; every frame, and the longest task of all. */
export async function benchKeys(
  page: Page,
  job: string,
  stations: readonly string[],
): Promise<{ readonly all: number[]; readonly longest: number }> {
  const all: number[] = [];
  let longest = 0;
  for (const station of stations) {
    await page.goto(`/jobs/${job}/${station}`);
    await page.locator('main h1').first().waitFor();
    if (station === 'line-up') await page.getByRole('option').nth(1).click();
    if (station === 'loads') await page.locator('main li button[aria-expanded=false]').first().click();
    // What is recorded stands in lines: they are opened until there is one to type in, or to answer.
    const line = page.locator('main [data-line]').first();
    const fields = page.locator('main input:not([type=checkbox], [type=file], [type=hidden])');
    const isToOpen = async (opened: number): Promise<boolean> =>
      (opened === 0 || (await fields.count()) === 0) && (await line.isVisible());
    for (let opened = 0; station !== 'loads' && (await isToOpen(opened)); opened += 1) await line.click();
    const { frames, followed, longest: task } = await typed(page);
    all.push(...frames);
    longest = Math.max(longest, task);
    console.log(
      `  ${station}: median ${quantile(frames, 0.5).toFixed(1)} ms, 95th percentile ${quantile(frames, 0.95).toFixed(1)} ms, longest task ${task.toFixed(0)} ms; all has followed after ${quantile(followed, 0.5).toFixed(0)} ms`,
    );
  }
  return { all, longest };
}

/** Typing at every station of a demo home with everything recorded, beside a page that only sets a field and waits for its frame. */
export async function benchTyping(base: string): Promise<void> {
  const { page, close } = await openPage(base);
  try {
    await page.goto('/sign-in');
    const job = await demoJob(page, 'Larkrise');
    const { all, longest } = await benchKeys(page, job, TYPED_AT);
    report('a key to its painted frame at any station of a home, median', quantile(all, 0.5), 'ms', 16);
    report('  the same, 95th percentile', quantile(all, 0.95), 'ms', 33);
    report('  longest task while typing (0: none over 50 ms)', longest, 'ms', 50);
    await page.goto('about:blank');
    await page.setContent('<main><input></main>');
    const { frames } = await typed(page);
    console.log(
      `  the same measured on an empty page: median ${quantile(frames, 0.5).toFixed(1)} ms, 95th percentile ${quantile(frames, 0.95).toFixed(1)} ms`,
    );
  } finally {
    await close();
  }
}
