import type { PackPhoto } from '@keen-gauge/core/pack/photos';
import type { PhotoMark } from '@keen-gauge/core/survey/photo';
import { setImmediate } from 'node:timers/promises';
import { lineWidth, writeLine } from './line';
import { WIDTH, type Page } from './page';

/** A picture ready for print: a JPEG no larger than paper can show. */
export interface PrintedPicture {
  readonly bytes: Buffer;
  readonly width: number;
  readonly height: number;
}

const TALLEST = 300;
const MARK = '#d4145a';

/** Photographs one under the other, each with its marks over it and its caption under it. */
export async function photosOn(
  page: Page,
  photos: readonly PackPhoto[],
  pictures: ReadonlyMap<string, PrintedPicture>,
): Promise<void> {
  for (const [at, photo] of photos.entries()) {
    // Each takes a while to put in: others are answered in between.
    await setImmediate();
    const picture = pictures.get(photo.id);
    const words = `${at + 1}. ${photo.caption}`;
    if (picture) {
      const scale = Math.min((WIDTH * 0.8) / picture.width, TALLEST / picture.height);
      const [width, height] = [picture.width * scale, picture.height * scale];
      page.drawn(height + 6, words, (doc) => {
        doc.image(picture.bytes, 0, 0, { width, height });
        for (const mark of photo.marks) drawMark(doc, mark, width, height);
      });
    }
    page.paragraph(picture ? words : `${words} (the picture is not in this file)`, { face: 'bold' });
    if (photo.under !== '') page.paragraph(photo.under, { quiet: true, size: 9 });
  }
}

function drawMark(doc: PDFKit.PDFDocument, mark: PhotoMark, width: number, height: number): void {
  const [x, y] = [mark.x * width, mark.y * height];
  const [toX, toY] = [(mark.toX ?? mark.x) * width, (mark.toY ?? mark.y) * height];
  doc.lineWidth(2.5).strokeColor(MARK);
  if (mark.kind === 'ring') doc.circle(x, y, Math.max(4, Math.hypot(toX - x, toY - y))).stroke();
  if (mark.kind === 'arrow') {
    const angle = Math.atan2(toY - y, toX - x);
    const barb = (turn: number): [number, number] => [x + 11 * Math.cos(angle + turn), y + 11 * Math.sin(angle + turn)];
    doc.moveTo(toX, toY).lineTo(x, y).stroke();
    doc
      .moveTo(...barb(0.5))
      .lineTo(x, y)
      .lineTo(...barb(-0.5))
      .stroke();
  }
  if (mark.text) {
    const style = { face: 'bold', size: 11, colour: MARK } as const;
    const wide = lineWidth(doc, mark.text, style) + 8;
    const left = Math.min(Math.max(0, x + 6), Math.max(0, width - wide));
    doc.rect(left, y - 8, wide, 16).fill('#ffffff');
    writeLine(doc, mark.text, left + 4, y + 4, style);
  }
}
