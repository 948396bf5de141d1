import { drawLineup, type Mark } from '@keen-gauge/core/lineup/drawing';
import type { Lineup } from '@keen-gauge/core/lineup/layout';
import { PRINT_INKS } from '@keen-gauge/core/lineup/svg';
import { writeLine } from './line';
import { WIDTH, type Page } from './page';

/** The drawing is made at this width and brought down to the page's, which keeps its words beside its bars. */
const DRAWN_WIDTH = 700;
const SCALE = WIDTH / DRAWN_WIDTH;

/** The supply tree on as many pages as it takes, broken between rows, its lines running on. */
export function drawLineupOn(page: Page, lineup: Lineup): void {
  const { rows, links } = drawLineup(lineup, DRAWN_WIDTH);
  const rowHeight = rows[0]?.height ?? 0;
  for (let at = 0; at < rows.length;) {
    const fit = Math.floor(page.left / (rowHeight * SCALE));
    const chunk = rows.slice(at, at + (fit >= Math.min(3, rows.length - at) ? fit : 14));
    const top = chunk[0]?.top ?? 0;
    const height = chunk.length * rowHeight;
    page.drawn(height * SCALE, words(lineup, at, chunk.length), (doc) => {
      doc.scale(SCALE).rect(0, 0, DRAWN_WIDTH, height).clip().translate(0, -top);
      for (const mark of links) drawMark(doc, mark);
      for (const row of chunk) for (const mark of row.marks) drawMark(doc, mark);
    });
    at += chunk.length;
  }
}

/** Below this nobody reads the drawing. */
const LEAST_SCALE = SCALE * 0.55;

/** The supply tree made as small as it takes to stand whole on what is left of the page; left out where it could not be read so. */
export function drawLineupInto(page: Page, lineup: Lineup): void {
  const { rows, links } = drawLineup(lineup, DRAWN_WIDTH);
  const height = rows.reduce((sum, row) => sum + row.height, 0);
  const scale = Math.min(SCALE, (page.left - 12) / height);
  if (scale < LEAST_SCALE) return;
  page.drawn(height * scale, words(lineup, 0, rows.length), (doc) => {
    doc.scale(scale);
    for (const mark of links) drawMark(doc, mark);
    for (const row of rows) for (const mark of row.marks) drawMark(doc, mark);
  });
}

/** The drawing in words, for those who hear it. */
function words({ rows }: Lineup, from: number, count: number): string {
  return rows
    .slice(from, from + count)
    .map(({ name, ratingA, nowA, afterA, headroomA, weakest }) => {
      const figures = `rating ${ratingA ?? 'not known'}, now ${shown(nowA)}, after ${shown(afterA)}, left ${shown(headroomA)}`;
      return `${name}: ${figures}${weakest ? ', weakest link' : ''}`;
    })
    .join('. ');
}

function shown(amperes: number | null): string {
  return amperes === null ? 'not known' : `${amperes.toFixed(1)} A`;
}

function drawMark(doc: PDFKit.PDFDocument, mark: Mark): void {
  if (mark.kind === 'text') {
    writeLine(doc, mark.text, mark.x, mark.y, {
      face: mark.bold ? 'bold' : 'regular',
      size: mark.size,
      colour: PRINT_INKS[mark.ink],
      ...(mark.end ? { end: true } : {}),
    });
    return;
  }
  if (mark.kind === 'path') doc.path(mark.d);
  else if (mark.round) doc.roundedRect(mark.x, mark.y, mark.width, mark.height, mark.round);
  else doc.rect(mark.x, mark.y, mark.width, mark.height);
  doc.lineWidth(('weight' in mark && mark.weight) || 1).lineJoin('round');
  const [fill, stroke] = [mark.fill && PRINT_INKS[mark.fill], mark.stroke && PRINT_INKS[mark.stroke]];
  if (fill && stroke) doc.fillAndStroke(fill, stroke);
  else if (fill) doc.fill(fill);
  else if (stroke) doc.stroke(stroke);
}
