import { LIGHT_COLOURS, type Colours } from './light-colours';
import { LIGHTS } from './lights';

/** Relative luminance of a colour, `#rrggbb`, by WCAG 2.2. */
function luminance(colour: string): number {
  const [red = 0, green = 0, blue = 0] = [1, 3, 5].map((at) => {
    const part = parseInt(colour.slice(at, at + 2), 16) / 255;
    return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
}

function contrast(a: string, b: string): number {
  const [light = 0, dark = 0] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (light + 0.05) / (dark + 0.05);
}

const GROUNDS = ['ground', 'surface', 'raised'] as const;
/** Words are written in these: 4.5 to 1 (WCAG 2.2, 1.4.3). */
const WRITTEN = ['ink', 'quiet', 'accent', 'now', 'added', 'left', 'fit', 'ask', 'hold'] as const;
/** Only edges and marks: 3 to 1 (1.4.11). */
const EDGES = ['strong-line', 'focus'] as const;

const below = (colours: Colours, fronts: readonly (keyof Colours)[], least: number): string[] =>
  fronts.flatMap((front) =>
    GROUNDS.filter((ground) => contrast(colours[front], colours[ground]) < least).map(
      (ground) => `${front} on ${ground}: ${contrast(colours[front], colours[ground]).toFixed(2)}`,
    ),
  );

describe('the colours of the lights', () => {
  it('are reckoned right: black on white is 21 to 1, grey 0x77 on white 4.48', () => {
    expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 5);
    expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
  });

  it.each(LIGHTS)('%s: words, edges and marks stand out from every ground', (light) => {
    const colours = LIGHT_COLOURS[light];
    expect([...below(colours, WRITTEN, 4.5), ...below(colours, EDGES, 3)]).toEqual([]);
    expect(contrast(colours['on-accent'], colours.accent)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(colours.surface, colours.ink)).toBeGreaterThanOrEqual(7);
  });
});
