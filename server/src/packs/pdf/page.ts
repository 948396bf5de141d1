import PDFDocument from 'pdfkit';
import { faces, runs, type Face } from './fonts';

export const MARGIN = 48;
export const WIDTH = 595.28 - 2 * MARGIN;
const INK = '#17212b';
const QUIET = '#4a5661';
const FOOT = 60;

/** What a heading of the second level takes, with the room before it. */
const HEADING = 34;

interface Heading {
  readonly level: 1 | 2;
  readonly text: string;
}

interface TextStyle {
  readonly face?: Face;
  readonly size?: number;
  readonly quiet?: boolean;
}

/**
 * An A4 document being written from the top down: tagged, real text, our own fonts. Text that does not fit starts a new
 * page; nothing is ever cut off.
 */
export class Page {
  readonly doc: PDFKit.PDFDocument;
  private readonly root: PDFKit.PDFStructureElement;
  private y = MARGIN;
  private readonly waiting: Heading[] = [];

  constructor(info: { title: string; author: string; subject: string; at: string }) {
    this.doc = new PDFDocument({
      size: 'A4',
      margins: { top: MARGIN, bottom: FOOT, left: MARGIN, right: MARGIN },
      bufferPages: true,
      tagged: true,
      pdfVersion: '1.7',
      lang: 'en-GB',
      displayTitle: true,
      // Dated when it was signed and not when it was made, so that it comes out the same however often it is.
      info: { Title: info.title, Author: info.author, Subject: info.subject, CreationDate: new Date(info.at) },
    });
    for (const files of Object.values(faces())) for (const { name, data } of files) this.doc.registerFont(name, data);
    this.root = this.doc.struct('Document');
    this.doc.addStructure(this.root);
  }

  /** A heading; one of the second level is kept until what it heads is written, so that it never stands alone at the foot of a page. */
  heading(level: 1 | 2, text: string): void {
    this.waiting.push({ level, text });
    if (level === 1) this.head(0);
  }

  private writeHeading({ level, text }: Heading): void {
    if (level === 2) this.y += 10;
    this.tagged(this.root, level === 1 ? 'H1' : 'H2', () => {
      this.write(text, MARGIN, WIDTH, { face: 'bold', size: level === 1 ? 20 : 12.5 });
    });
    this.y += level === 1 ? 4 : 3;
  }

  paragraph(text: string, style: TextStyle = {}): void {
    this.room(this.height(text, WIDTH, style));
    this.tagged(this.root, 'P', () => {
      this.write(text, MARGIN, WIDTH, style);
    });
    this.y += 4;
  }

  /** A table of two or three columns, its first column the headings of its rows; `gap` stands over and under each line, in points. */
  table(rows: readonly (readonly { text: string; style?: TextStyle }[])[], widths: readonly number[], gap = 3): void {
    const table = this.doc.struct('Table');
    this.root.add(table);
    for (const cells of rows) {
      const tallest = Math.max(
        ...cells.map(({ text, style }, at) => this.height(text, (widths[at] ?? 0) - 8, style ?? {})),
      );
      this.room(Math.min(tallest + 6, 400));
      const top = this.y;
      let lowest = top;
      const row = this.doc.struct('TR');
      table.add(row);
      let left = MARGIN;
      cells.forEach(({ text, style }, at) => {
        const width = widths[at] ?? 0;
        const x = left;
        this.y = top;
        this.tagged(row, at === 0 ? 'TH' : 'TD', () => {
          this.write(text, x, width - 8, style ?? {});
        });
        lowest = Math.max(lowest, this.y);
        left += width;
      });
      row.end();
      this.y = lowest + gap;
      this.artifact(() => {
        this.doc
          .moveTo(MARGIN, this.y)
          .lineTo(MARGIN + WIDTH, this.y)
          .lineWidth(0.4)
          .strokeColor('#c9cfd4')
          .stroke();
      });
      this.y += gap;
    }
    table.end();
  }

  /**
   * Something drawn rather than written, with words for those who cannot see it: `draw` gets the document with its
   * origin moved to where there is room for the height given.
   */
  drawn(height: number, alt: string, draw: (doc: PDFKit.PDFDocument) => void, x = MARGIN): void {
    this.room(height);
    const element = this.doc.struct('Figure', { alt }, () => {
      this.doc.save().translate(x, this.y);
      draw(this.doc);
      this.doc.restore();
    });
    this.root.add(element);
    element.end();
    this.y += height;
  }

  /** How much of this page is left, in points. */
  get left(): number {
    return this.doc.page.height - FOOT - this.y - this.waiting.length * HEADING;
  }

  /** Writes the foot of every page and closes the document; the finished bytes. */
  async finish(foot: (page: number, pages: number) => string): Promise<Buffer> {
    this.head(0);
    const { start, count } = this.doc.bufferedPageRange();
    for (let index = start; index < start + count; index += 1) {
      this.doc.switchToPage(index);
      this.doc.page.margins.bottom = 0;
      this.y = this.doc.page.height - FOOT + 22;
      this.artifact(() => {
        this.write(foot(index - start + 1, count), MARGIN, WIDTH, { size: 8, quiet: true });
      });
    }
    this.root.end();
    const parts: Buffer[] = [];
    const ended = new Promise<Buffer>((resolve, reject) => {
      this.doc.on('data', (part: Buffer) => parts.push(part));
      this.doc.on('end', () => {
        resolve(Buffer.concat(parts));
      });
      this.doc.on('error', reject);
    });
    this.doc.end();
    return ended;
  }

  private tagged(parent: PDFKit.PDFStructureElement, type: string, draw: () => void): void {
    const element = this.doc.struct(type, {}, draw);
    parent.add(element);
    element.end();
  }

  private artifact(draw: () => void): void {
    this.doc.markContent('Artifact');
    draw();
    this.doc.endMarkedContent();
  }

  /** Goes on at the top of the next page. */
  next(): void {
    this.head(0);
    this.doc.addPage();
    this.y = MARGIN;
  }

  private room(height: number): void {
    if (this.waiting.length > 0) this.head(height);
    if (this.y + height <= this.doc.page.height - FOOT) return;
    this.doc.addPage();
    this.y = MARGIN;
  }

  /** Writes the headings that wait, on the page where the height after them fits. */
  private head(height: number): void {
    const waiting = this.waiting.splice(0);
    const tall = waiting.length * HEADING + height;
    if (this.y + tall > this.doc.page.height - FOOT && this.y > MARGIN) {
      this.doc.addPage();
      this.y = MARGIN;
    }
    for (const heading of waiting) this.writeHeading(heading);
  }

  private height(text: string, width: number, { face = 'regular', size = 10 }: TextStyle): number {
    this.doc.font(faces()[face][0]?.name ?? '').fontSize(size);
    return this.doc.heightOfString(text, { width, lineGap: 1.5 });
  }

  private write(
    text: string,
    x: number,
    width: number,
    { face = 'regular', size = 10, quiet = false }: TextStyle,
  ): void {
    const parts = runs(text === '' ? ' ' : text, face);
    this.doc.fontSize(size).fillColor(quiet ? QUIET : INK);
    parts.forEach((part, index) => {
      const options = { width, lineGap: 1.5, continued: index < parts.length - 1 };
      this.doc.font(part.font);
      if (index === 0) this.doc.text(part.text, x, this.y, options);
      else this.doc.text(part.text, options);
    });
    this.y = this.doc.y;
  }
}
