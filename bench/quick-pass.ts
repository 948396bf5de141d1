import type { Page } from '@playwright/test';
import { passHome, startPass } from '../e2e/home-pass';
import { newJob } from '../e2e/journey';
import { openPage } from './browser';
import { quantile, report } from './report';

const SMALL_PHONE = { width: 360, height: 740 };

/** Waited after every press: what drives the page looks for what comes next, which takes the page's own time. */
const PAUSE_MS = 60;

/** A telephone so many times slower than this machine. */
const SLOWER = 4;

/** Every press and every letter from now on is timed, from the event to the painted frame after it; what is returned gives the times, in milliseconds. */
async function timedPresses(page: Page): Promise<() => Promise<number[]>> {
  const times = await page.evaluateHandle(() => {
    const times: number[] = [];
    for (const kind of ['pointerup', 'input'])
      window.addEventListener(
        kind,
        ({ timeStamp }) => {
          // The task after the frame that carries the change: by then it is on the screen.
          requestAnimationFrame(() => setTimeout(() => times.push(performance.now() - timeStamp), 0));
        },
        { capture: true },
      );
    return times;
  });
  return () => times.jsonValue();
}

async function passed(page: Page, place: string): Promise<number[]> {
  await page.goto('/');
  await newJob(page, place);
  await startPass(page);
  const times = await timedPresses(page);
  await passHome(page);
  return times();
}

/** What a press costs by itself: the way from whoever drives the browser, and the frame. */
async function pressedAlone(page: Page): Promise<number[]> {
  const alone = await page.context().newPage();
  await alone.setContent('<button>Nothing</button>');
  const times = await timedPresses(alone);
  for (let press = 0; press < 40; press += 1) await alone.getByRole('button').click();
  const found = await times();
  await alone.close();
  return found;
}

/** A usual home gone through by the quick pass, at this machine's own speed and at that of a slow telephone. */
export async function benchQuickPass(base: string): Promise<void> {
  const { page, close } = await openPage(base, PAUSE_MS);
  try {
    await page.setViewportSize(SMALL_PHONE);
    const here = await passed(page, '1 Bench Row, Netherby, ZZ1 1AA');
    report(
      `a press in the quick pass to its painted frame (${here.length} of them), median`,
      quantile(here, 0.5),
      'ms',
      16,
    );
    report('  the same, 95th percentile', quantile(here, 0.95), 'ms', 33);
    console.log(
      `  a button that does nothing, on an empty page: median ${quantile(await pressedAlone(page), 0.5).toFixed(1)} ms`,
    );
    const session = await page.context().newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
    const slow = await passed(page, '2 Bench Row, Netherby, ZZ1 1AA');
    report(`  on a slow telephone (${slow.length} of them), 95th percentile`, quantile(slow, 0.95), 'ms', 100);
  } finally {
    await close();
  }
}
