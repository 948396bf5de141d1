import type { Locator, Page } from '@playwright/test';
import { expect } from './journey';

/** A surveyor with one thumb: every tap and every typed field is counted. */
export class Thumb {
  taps = 0;
  typed = 0;
  constructor(
    readonly page: Page,
    readonly card: Locator,
  ) {}

  async press(name: RegExp | string): Promise<void> {
    this.taps += 1;
    await this.card.getByRole('button', { name }).first().click();
  }
  async answer(name: RegExp, at = 0): Promise<void> {
    this.taps += 1;
    // The tile round it, once it stands still: pressed where it was a moment ago, a thumb would meet what has come there instead.
    await this.card.getByRole('radio', { name }).nth(at).locator('xpath=ancestor::label').click();
  }
  async keys(text: string): Promise<void> {
    const pad = this.card.getByRole('group', { name: /^Keys for/ });
    const box = this.card.getByRole('textbox').first();
    let keyed = '';
    // The pad of the next figure comes once the one before is taken: a thumb looks before it presses.
    await expect(box).toHaveValue('');
    const stood = await pad.boundingBox();
    for (const key of text) {
      this.taps += 1;
      await pad.getByRole('button', { name: key === '.' ? 'Point' : key, exact: true }).click();
      keyed += key;
      await expect(box).toHaveValue(keyed);
      // Keys that move under a thumb are pressed wrong.
      expect(Math.round((await pad.boundingBox())?.y ?? 0)).toBe(Math.round(stood?.y ?? 0));
    }
  }
  /** The figure that has been keyed is complete. */
  async enter(): Promise<void> {
    await this.press(/^Enter/);
  }
  async type(text: string): Promise<void> {
    this.typed += 1;
    await this.card.getByRole('textbox').first().fill(text);
  }
  async next(): Promise<void> {
    await this.press(/^Next$/);
  }
}

type Answering = (thumb: Thumb) => Promise<void>;

const typed = (text: string): Answering => {
  return async (thumb) => {
    await thumb.type(text);
    await thumb.next();
  };
};
const chosen =
  (name: RegExp): Answering =>
  (thumb) =>
    thumb.answer(name);
const pressed =
  (name: RegExp): Answering =>
  (thumb) =>
    thumb.press(name);

/** Names and addresses, which are the same work on paper. */
const NAMES: readonly (readonly [asks: RegExp, does: Answering])[] = [
  [/meter point number/, typed('9700000012340')],
  [/customer’s name/, typed('A. Tester')],
  [/be reached/, typed('01632 960111')],
  [/operator is it/, typed('Test Networks')],
];

/** A usual home: gas heating, an 80 A fuse on its label, a 32 A charger of the firm’s. */
const HOME: readonly (readonly [asks: RegExp, does: Answering])[] = [
  [/kind of premises/, chosen(/^Household/)],
  [/to be connected/, pressed(/Brindle post/)],
  [/surge protection to be fitted/, chosen(/^There already/)],
  [/Single-phase or three-phase/, chosen(/^Single-phase/)],
  [
    /Cut-out fuse: what is its rating/,
    async (thumb) => {
      await thumb.press(/80 A/);
      await thumb.answer(/^Label/);
    },
  ],
  [/good condition/, chosen(/^Looked, fine/)],
  [/looped\?/, chosen(/^Not looped/)],
  [/how is that known/, chosen(/^Cable traced/)],
  [/maximum current/, pressed(/100 A/)],
  [/Isolator: what is its rating/, pressed(/100 A/)],
  [/what size are the tails/, pressed(/25 mm²/)],
  [
    /how long are the tails/,
    async (thumb) => {
      await thumb.keys('1');
      await thumb.enter();
      await thumb.keys('1');
      await thumb.enter();
    },
  ],
  [/earthing arrangement/, chosen(/^TN-S/)],
  [/how was it recognised/, typed('Clamp on the sheath')],
  [
    /What is Ze/,
    async (thumb) => {
      await thumb.keys('0.35');
      await thumb.next();
    },
  ],
  [/which instrument/, pressed(/^Loop tester/)],
  [/size is the earthing conductor/, pressed(/16 mm²/)],
  [
    /What comes in/,
    async (thumb) => {
      await thumb.answer(/^Plastic/, 0);
      await thumb.answer(/^Plastic/, 1);
    },
  ],
  [/main switch/, pressed(/100 A/)],
  [/spare ways/, pressed(/: 1/)],
  [/maker allow the new device/, chosen(/^Yes/)],
  [/enclosure/, chosen(/^Metal/)],
  [/where is it\?/, chosen(/^Indoors/)],
  [
    /which device/,
    async (thumb) => {
      await thumb.press(/40 A/);
      await thumb.enter();
      await thumb.answer(/^B$/);
    },
  ],
  [/Which loads are there/, pressed(/^Gas-heated home$/)],
  [/assumed from usual powers/, pressed(/^All are as listed/)],
  [/kept inside the supply/, pressed(/^Held to/)],
  [/which cable/, chosen(/^Flat twin/)],
  [
    /which way does the cable go/,
    async (thumb) => {
      await thumb.press(/^Clipped/);
      await thumb.press(/Length: 10 m/);
    },
  ],
  [
    /what warms the cable/,
    async (thumb) => {
      await thumb.press(/30 °C/);
      await thumb.enter();
      await thumb.press(/counted: 1/);
      await thumb.enter();
      await thumb.press(/insulation: 0 mm/);
    },
  ],
  [
    /its place right/,
    async (thumb) => {
      await thumb.press(/1.2 m/);
      await thumb.enter();
      await thumb.keys('3');
      await thumb.enter();
      await thumb.press(/5 m/);
      await thumb.enter();
      await thumb.answer(/^Yes/);
      await thumb.answer(/^No$/);
      await thumb.answer(/^Yes/);
    },
  ],
  [
    /its RCD suffice/,
    async (thumb) => {
      await thumb.press(/30 mA/);
      await thumb.enter();
      await thumb.answer(/^Yes/);
      await thumb.answer(/^Yes/);
      await thumb.answer(/^No$/);
    },
  ],
];

/** What a pass took: names and addresses, which are the same work on paper, are not counted. */
export interface Passed {
  readonly cards: number;
  readonly thumb: Thumb;
  /** The cards that were taller than the screen. */
  readonly tall: readonly string[];
}

/** From the page of the next question to the end of the pass: the home as a surveyor with one thumb answers for it. */
export async function passHome(page: Page): Promise<Passed> {
  const card = page.getByRole('region', { name: 'Next question' });
  const title = card.getByRole('heading', { level: 1 });
  const ended = endOfPass(page);
  const thumb = new Thumb(page, card);
  let cards = 0;
  let before = '';
  const tall: string[] = [];
  for (;;) {
    await expect(title.or(ended)).not.toHaveText(before || '?');
    await expect(title.or(ended)).toBeVisible();
    if (await ended.isVisible()) return { cards, thumb, tall };
    before = await title.innerText();
    if ((await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight)) > 1) tall.push(before);
    const name = NAMES.find(([asks]) => asks.test(before));
    const known = name ?? HOME.find(([asks]) => asks.test(before));
    expect(known, `an answer to “${before}”`).toBeDefined();
    const { taps, typed: fields } = thumb;
    await known?.[1](thumb);
    if (name) Object.assign(thumb, { taps, typed: fields });
    else cards += 1;
  }
}

export const endOfPass = (page: Page): Locator => page.getByRole('region', { name: 'End of the pass' });

/** From a new job to its first card. */
export async function startPass(page: Page): Promise<void> {
  await page.getByRole('navigation', { name: 'About this survey' }).getByRole('link', { name: 'Next' }).click();
}
