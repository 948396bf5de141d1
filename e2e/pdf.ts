import { readFileSync } from 'node:fs';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';

export interface ReadPdf {
  readonly text: string;
  readonly pages: number;
  /** What each page says. */
  readonly pageTexts: readonly string[];
  readonly tagged: boolean;
  /** How often each kind of tag is in its structure, and the words of its pictures for those who cannot see them. */
  readonly tags: Readonly<Record<string, number>>;
  readonly alternatives: readonly string[];
  /** Whether every font it uses is in it. */
  readonly fontsEmbedded: boolean;
  /** How many pictures are drawn on its pages. */
  readonly pictures: number;
}

interface StructNode {
  readonly role?: string;
  readonly alt?: string;
  readonly children?: readonly StructNode[];
}

/** What a PDF says and shows, as another program reads it. */
export async function pdfText(path: string): Promise<ReadPdf> {
  const document = await getDocument({
    data: new Uint8Array(readFileSync(path)),
    verbosity: 0,
    fontExtraProperties: true,
  }).promise;
  const pageTexts: string[] = [];
  const tags: Record<string, number> = {};
  const alternatives: string[] = [];
  let pictures = 0;
  let fontsEmbedded = true;
  const walk = ({ role, alt, children = [] }: StructNode): void => {
    if (role !== undefined) tags[role] = (tags[role] ?? 0) + 1;
    if (alt !== undefined) alternatives.push(alt);
    children.forEach(walk);
  };
  for (let number = 1; number <= document.numPages; number += 1) {
    const page = await document.getPage(number);
    const content = await page.getTextContent();
    pageTexts.push(
      content.items
        .map((item) => ('str' in item ? item.str : ''))
        .join(' ')
        .replace(/\s+/g, ' '),
    );
    const { fnArray, argsArray } = await page.getOperatorList();
    pictures += fnArray.filter((operation) => operation === OPS.paintImageXObject).length;
    fnArray.forEach((operation, at) => {
      if (operation !== OPS.setFont) return;
      const [name] = argsArray[at] as [string];
      const font = page.commonObjs.get(name) as { missingFile?: boolean };
      if (font.missingFile) fontsEmbedded = false;
    });
    const tree = (await page.getStructTree()) as StructNode | null;
    if (tree) walk(tree);
  }
  const marks = await document.getMarkInfo();
  return {
    text: pageTexts.join(' ').replace(/\s+/g, ' '),
    pages: document.numPages,
    pageTexts,
    tagged: marks?.Marked === true,
    tags,
    alternatives,
    fontsEmbedded,
    pictures,
  };
}
