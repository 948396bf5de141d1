import { onOneLine } from '../printed-text';
import { drawLineup, type Ink, type Mark } from './drawing';
import type { Lineup } from './layout';

/** Ink on white paper, as the drawing is printed and exported. */
export const PRINT_INKS: Readonly<Record<Ink, string>> = {
  ink: '#17212b',
  quiet: '#4a5661',
  line: '#b9bfc4',
  paper: '#ffffff',
  now: '#2b477a',
  added: '#d58a55',
  over: '#9c1228',
  left: '#1b6648',
  hold: '#9c1228',
};

/** The line-up as an SVG file that stands by itself, for print and for other people's documents. */
export function lineupSvg(lineup: Lineup, title: string, width = 760): string {
  const { height, links, rows } = drawLineup(lineup, width);
  const head = 34;
  const marks = [...links, ...rows.flatMap((row) => row.marks)].map(markSvg).join('\n');
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height + head}" width="${width}" height="${
    height + head
  }" role="img" font-family="'Atkinson Hyperlegible Next', Arial, sans-serif">
<title>${escaped(title)}</title>
<rect width="${width}" height="${height + head}" fill="${PRINT_INKS.paper}"/>
<text x="8" y="22" font-size="15" font-weight="700" fill="${PRINT_INKS.ink}">${escaped(title)}</text>
<g transform="translate(0 ${head})">
${marks}
</g>
</svg>
`;
}

function markSvg(mark: Mark): string {
  if (mark.kind === 'text')
    return `<text x="${number(mark.x)}" y="${number(mark.y)}" font-size="${mark.size}" fill="${PRINT_INKS[mark.ink]}"${
      mark.bold ? ' font-weight="700"' : ''
    }${mark.end ? ' text-anchor="end"' : ''}>${escaped(mark.text)}</text>`;
  const paint = `fill="${mark.fill ? PRINT_INKS[mark.fill] : 'none'}"${
    mark.stroke
      ? ` stroke="${PRINT_INKS[mark.stroke]}" stroke-width="${mark.weight ?? 1}" stroke-linejoin="round" stroke-linecap="round"`
      : ''
  }`;
  if (mark.kind === 'path') return `<path d="${mark.d}" ${paint}/>`;
  return `<rect x="${number(mark.x)}" y="${number(mark.y)}" width="${number(mark.width)}" height="${number(
    mark.height,
  )}"${mark.round ? ` rx="${mark.round}"` : ''} ${paint}/>`;
}

function number(value: number): string {
  return String(Math.round(value * 100) / 100);
}

function escaped(text: string): string {
  return onOneLine(text).replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);
}
