import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

/** The scripts of the application as it is built, under their names; for the tests and the benches. */
const DIRECTORY = 'dist/web/assets';

const NAME = '[\\w.-]+\\.js';

const read = (name: string): string => readFileSync(`${DIRECTORY}/${name}`, 'utf8');

/** What a file asks for before any of it runs. */
export const importsOf = (name: string): string[] =>
  [...read(name).matchAll(new RegExp(`(?:from|import)\\s*["'\`]\\./(${NAME})["'\`]`, 'g'))].map(
    ([, found]) => found ?? '',
  );

/** What the page itself asks for. */
export const namedByThePage = (): string[] =>
  [...readFileSync('dist/web/index.html', 'utf8').matchAll(new RegExp(`assets/(${NAME})`, 'g'))].map(
    ([, found]) => found ?? '',
  );

/** Files and all they import at once, without those that have come already. */
export function withImports(names: Iterable<string>, come: ReadonlySet<string> = new Set()): Set<string> {
  const wanted = new Set([...names].filter((name) => !come.has(name)));
  // A set that grows while it is gone through is gone through to its end.
  for (const name of wanted) for (const imported of importsOf(name)) if (!come.has(imported)) wanted.add(imported);
  return wanted;
}

/** What files come to gzipped, each by itself as it is sent; bytes. */
export const gzippedBytes = (names: Iterable<string>): number =>
  [...names].reduce((total, name) => total + gzipSync(read(name)).length, 0);
