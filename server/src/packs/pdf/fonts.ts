import { createRequire } from 'node:module';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { printable } from '@keen-gauge/core/printed-text';
import * as fontkit from 'fontkit';

/** A face of the document's type: files tried in order for each character, since no one file has them all. */
export type Face = 'regular' | 'bold' | 'mono';

interface FontFile {
  readonly name: string;
  readonly data: Buffer;
  readonly has: (codePoint: number) => boolean;
}

const resolver = createRequire(join(process.cwd(), 'package.json'));

function fontFile(pack: string, file: string): FontFile {
  const data = readFileSync(resolver.resolve(`@fontsource/${pack}/files/${pack}-${file}-normal.woff`));
  const font = fontkit.create(data);
  if (!('hasGlyphForCodePoint' in font)) throw new Error(`${pack}-${file} is a font collection`);
  return { name: `${pack}-${file}`, data, has: (codePoint) => font.hasGlyphForCodePoint(codePoint) };
}

function family(pack: string, weight: number): FontFile[] {
  return [
    fontFile(pack, `latin-${weight}`),
    fontFile(pack, `latin-ext-${weight}`),
    // Ohms, and names in other alphabets.
    fontFile('noto-sans', `greek-${weight}`),
    fontFile('noto-sans', `cyrillic-${weight}`),
    // Roots, arrows, at most and at least; in one weight.
    fontFile('noto-sans-math', 'latin-400'),
  ];
}

let loaded: Readonly<Record<Face, readonly FontFile[]>> | undefined;

/** The faces, read once. */
export function faces(): Readonly<Record<Face, readonly FontFile[]>> {
  loaded ??= {
    regular: family('atkinson-hyperlegible-next', 400),
    bold: family('atkinson-hyperlegible-next', 700),
    mono: family('atkinson-hyperlegible-mono', 400),
  };
  return loaded;
}

/** A text cut into runs that one font file can set each; a character nobody has stays with the first file. */
export function runs(text: string, face: Face): { font: string; text: string }[] {
  const files = faces()[face];
  const made: { font: string; text: string }[] = [];
  for (const character of printable(text)) {
    const codePoint = character.codePointAt(0) ?? 32;
    const file = files.find(({ has }) => has(codePoint)) ?? files[0];
    const last = made.at(-1);
    const font = codePoint === 32 ? (last?.font ?? file?.name ?? '') : (file?.name ?? '');
    if (last && last.font === font) last.text += character;
    else made.push({ font, text: character });
  }
  return made;
}
