import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

const ROOT = join(__dirname, '../..');

/** The phrases of the last column of the table of words. */
const NOT_TO_SAY = readFileSync(join(ROOT, 'docs/wording.md'), 'utf8')
  .split('\n')
  .filter((line) => line.startsWith('| ') && !line.startsWith('| ---'))
  .slice(1)
  .flatMap((line) => (line.split('|')[4] ?? '').split(','))
  .map((phrase) => phrase.trim())
  .filter((phrase) => phrase !== '');

/** Where words that people read are written. */
const SOURCES = ['core/src', 'web/src', 'server/src'].flatMap((room) =>
  readdirSync(join(ROOT, room), { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name) && !/\.test\.|testing\/|mutants\//.test(name))
    .map((name) => join(room, name)),
);

/** Strings and texts between tags that have words: a name of one word is none. */
function readByPeople(source: string): string[] {
  const code = source.replace(/\/\*[\s\S]*?\*\/|^\s*\/\/.*$/gm, '');
  return [...code.matchAll(/'((?:[^'\\\n]|\\.)*)'|`((?:[^`\\]|\\.)*)`|>([^<>{}=;]+)</g)]
    .map(([, single, template, between]) => (single ?? template ?? between ?? '').replace(/\s+/g, ' ').trim())
    .filter((text) => text.includes(' '));
}

describe('the words that people read', () => {
  it('are looked through, and the table has what is not to be said', () => {
    expect(NOT_TO_SAY.length).toBeGreaterThan(10);
    expect(readByPeople("const a = 'two words'; <p>between tags</p>")).toEqual(['two words', 'between tags']);
  });

  it.each([...new Set(NOT_TO_SAY)])('never say “%s”', (phrase) => {
    const said = new RegExp(`(^|[^\\p{L}])${phrase.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}([^\\p{L}]|$)`, 'iu');
    const found = SOURCES.flatMap((file) =>
      readByPeople(readFileSync(join(ROOT, file), 'utf8'))
        .filter((text) => said.test(text))
        .map((text) => `${file}: ${text.slice(0, 120)}`),
    );
    expect(found).toEqual([]);
  });
});
