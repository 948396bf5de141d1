import { runs, type Face } from './fonts';

export interface LineStyle {
  readonly face: Face;
  readonly size: number;
  readonly colour: string;
  /** The text ends at x instead of starting there. */
  readonly end?: boolean;
}

/** How wide a text is on one line, in points, in whichever fonts its characters are found in. */
export function lineWidth(doc: PDFKit.PDFDocument, text: string, { face, size }: LineStyle): number {
  return runs(text, face).reduce((sum, run) => sum + doc.font(run.font).fontSize(size).widthOfString(run.text), 0);
}

/** One line of text with its foot at y, never broken; for drawings, where everything has its place. */
export function writeLine(doc: PDFKit.PDFDocument, text: string, x: number, y: number, style: LineStyle): void {
  if (text === '') return;
  let at = style.end ? x - lineWidth(doc, text, style) : x;
  for (const run of runs(text, style.face)) {
    doc.font(run.font).fontSize(style.size).fillColor(style.colour);
    const width = doc.widthOfString(run.text);
    doc.text(run.text, at, y - style.size * 0.95, { lineBreak: false });
    at += width;
  }
}
