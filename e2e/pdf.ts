import { readFileSync } from 'node:fs';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';

export interface ReadPdf {
  readonly text: string;
  readonly pages: number;
  readonly tagged: boolean;
  /** How many pictures are drawn on its pages. */
  readonly pictures: number;
}

/** What a PDF says and shows, as another program reads it. */
export async function pdfText(path: string): Promise<ReadPdf> {
  const document = await getDocument({ data: new Uint8Array(readFileSync(path)), verbosity: 0 }).promise;
  const parts: string[] = [];
  let pictures = 0;
  for (let number = 1; number <= document.numPages; number += 1) {
    const page = await document.getPage(number);
    const content = await page.getTextContent();
    parts.push(content.items.map((item) => ('str' in item ? item.str : '')).join(' '));
    const { fnArray } = await page.getOperatorList();
    pictures += fnArray.filter((operation) => operation === OPS.paintImageXObject).length;
  }
  const marks = await document.getMarkInfo();
  const text = parts.join('\n').replace(/\s+/g, ' ');
  return { text, pages: document.numPages, tagged: marks?.Marked === true, pictures };
}
