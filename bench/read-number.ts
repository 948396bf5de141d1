import { checkDigit, groupedMeterPoint } from '@keen-gauge/core/route/meter-point';
import sharp from 'sharp';
import { makeJob, openPage } from './browser';
import { quantile, report } from './report';

const PICTURES = 60;

/** Numbers by lot that are the same each time: the pictures are. */
function lots(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1_103_515_245 + 12_345) & 0x7fffffff;
    return state / 0x7fffffff;
  };
}

interface Drawn {
  readonly core: string;
  readonly what: string;
  readonly jpeg: Buffer;
}

/** One picture in twelve has no number whose check digit holds: nothing may be offered of it. */
const FAULTY_EVERY = 12;
const TILTS = [0, 2, -3, 5, -6, 8];
const BLURS = [0.3, 1, 1.6, 2.2, 3];
const FONTS = ['sans-serif', 'serif', 'monospace'];

/** A page of a bill, or a label on a meter, as somebody photographs it: tilted, out of focus, with a lamp in it, pressed small. Nobody’s bill, and no maker’s meter. */
async function draw(at: number, lot: () => number): Promise<Drawn> {
  const digits = (count: number): string => Array.from({ length: count }, () => Math.floor(lot() * 10)).join('');
  const stem = `${10 + Math.floor(lot() * 30)}${digits(10)}`;
  const right = checkDigit(stem);
  const isFaulty = at % FAULTY_EVERY === FAULTY_EVERY - 1;
  const core = `${stem}${isFaulty ? (right + 3) % 10 : right}`;
  const printed = at % 4 === 3 ? core : groupedMeterPoint(core).replaceAll(' ', ['  ', ' ', '   '][at % 3] ?? ' ');
  const [size, font, tilt, blur] = [[28, 36, 44, 54][at % 4], FONTS[at % 3], TILTS[at % 6] ?? 0, BLURS[at % 5] ?? 1];
  const words = (x: number, y: number, of: number | undefined, text: string): string =>
    `<text x="${x}" y="${y}" font-size="${of ?? 30}">${text}</text>`;
  const bill = `<rect width="1600" height="1200" fill="#f4f2ec"/><rect x="110" y="240" width="900" height="220" fill="none" stroke="#333" stroke-width="3"/>
    <g font-family="${font}" fill="#222">${words(120, 140, 40, 'Your electricity supply number')}${words(140, 410, 130, 'S')}
    ${words(280, 320, size, `0${digits(1)}   ${digits(3)}   ${digits(3)}`)}${words(280, 410, size, printed)}
    ${words(120, 600, 30, `Account number ${digits(10)}`)}${words(120, 660, 30, `Units used ${digits(4)} kWh, ${digits(2)} days`)}
    ${words(120, 720, 30, `Ring us on 01632 960 ${digits(3)}`)}</g>`;
  const label = `<rect width="1600" height="1200" fill="#9a7b55"/><rect x="300" y="200" width="1000" height="700" rx="30" fill="#e4e6e4"/>
    <rect x="420" y="300" width="500" height="140" fill="#b9c6b0"/><rect x="400" y="560" width="860" height="240" fill="#fff"/>
    <g font-family="${font}" fill="#1b1b1b">${words(440, 400, 90, digits(5))}${words(430, 640, 34, 'MPAN')}${words(430, 720, size, printed)}
    ${words(430, 780, 24, `Serial ${digits(8)}  230 V 50 Hz 1000 imp/kWh`)}</g>`;
  const isBill = at % 2 === 0;
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="1600" height="1200">${isBill ? bill : label}</svg>`;
  let picture = await sharp(Buffer.from(svg)).rotate(tilt, { background: '#777' }).png().toBuffer();
  const { width, height } = await sharp(picture).metadata();
  const hasGlare = at % 3 === 1;
  if (hasGlare) {
    const [x, y] = [width * (0.3 + 0.4 * lot()), height * (0.3 + 0.3 * lot())];
    const lamp = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><defs><radialGradient id="g"><stop offset="0" stop-color="#fff" stop-opacity=".85"/><stop offset="1" stop-color="#fff" stop-opacity="0"/></radialGradient></defs><ellipse cx="${x}" cy="${y}" rx="340" ry="220" fill="url(#g)"/></svg>`;
    picture = await sharp(picture)
      .composite([{ input: Buffer.from(lamp) }])
      .png()
      .toBuffer();
  }
  return {
    core: isFaulty ? '' : core,
    what: `${isBill ? 'bill' : 'label'}, ${tilt}°, blur ${blur}${hasGlare ? ', glare' : ''}${isFaulty ? ', faulty number' : ''}`,
    jpeg: await sharp(picture).blur(blur).jpeg({ quality: 70 }).toBuffer(),
  };
}

/** Meter point numbers off drawn bills and labels, through the application itself: the share that is read, and what is offered that is wrong, of which there may be none. */
export async function benchReadNumber(base: string): Promise<void> {
  const { page, close } = await openPage(base);
  const id = await makeJob(page, 'Reading numbers');
  await page.goto(`/jobs/${id}/place`);
  const meterPoint = page.getByRole('region', { name: 'Meter point' });
  const lot = lots(7);
  const [missed, times]: [string[], number[]] = [[], []];
  let [right, wrong, of] = [0, 0, 0];
  for (let at = 0; at < PICTURES; at += 1) {
    const { core, what, jpeg } = await draw(at, lot);
    const started = performance.now();
    await meterPoint.locator('input[type=file]').setInputFiles({ name: 'x.jpg', mimeType: 'image/jpeg', buffer: jpeg });
    await meterPoint.getByText(/^Reading the photograph/).waitFor();
    await meterPoint
      .getByText(/check digit fits|No number could be read|could not be read here/)
      .waitFor({ timeout: 60_000 });
    times.push(performance.now() - started);
    const offered = (await meterPoint.getByRole('button', { name: /^Use / }).allTextContents()).map((text) =>
      text.replace(/\D/g, ''),
    );
    if (core !== '') of += 1;
    if (core !== '' && offered.includes(core)) right += 1;
    else if (core !== '') missed.push(what);
    if (offered.some((each) => each !== core)) wrong += 1;
  }
  await close();
  console.log(
    `Numbers read off ${of} drawn bills and labels: ${right} right (${((100 * right) / of).toFixed(0)} %), of ${PICTURES} with ${PICTURES - of} faulty ones`,
  );
  if (missed.length > 0) console.log(`  not read: ${missed.join('; ')}`);
  report('Wrong numbers offered', wrong, 'pictures', 0);
  report('Reading one, the usual', quantile(times, 0.5), 'ms', 5000);
}
