import { readdirSync, readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { report } from './report';

const DIRECTORY = 'dist/web/assets';

const read = (name: string): string => readFileSync(`${DIRECTORY}/${name}`, 'utf8');

/** Files and all they import at once, without those that have come already. */
function withImports(names: Iterable<string>, come: ReadonlySet<string>): Set<string> {
  const wanted = new Set([...names].filter((name) => !come.has(name)));
  // A set that grows while it is gone through is gone through to its end.
  for (const name of wanted)
    for (const [, imported] of read(name).matchAll(/(?:from|import)\s*["'`]\.\/([\w.~-]+\.js)["'`]/g))
      if (imported && !come.has(imported)) wanted.add(imported);
  return wanted;
}

const kB = (names: ReadonlySet<string>): number =>
  [...names].reduce((total, name) => total + gzipSync(read(name)).length, 0) / 1000;

/** What the browser fetches before the list of jobs can be drawn, and what more before a survey’s first station and its next question can. */
export function benchFirstLoad(): void {
  const page = readFileSync('dist/web/index.html', 'utf8');
  const all = readdirSync(DIRECTORY).filter((name) => name.endsWith('.js'));
  const part = (name: string): string[] => all.filter((file) => file.startsWith(`${name}-`));
  const first = withImports(
    [...page.matchAll(/assets\/([\w.~-]+\.js)/g)].map(([, name]) => name ?? ''),
    new Set(),
  );
  report(`JavaScript for the list of jobs, gzipped (${first.size} files)`, kB(first), 'kB', 150);
  for (const [view, name] of [
    ['its first station', 'PlaceStation'],
    ['the next question', 'PassView'],
  ] as const) {
    const more = withImports([...part('SurveyPage'), ...part(name)], first);
    report(`  more for a survey opened cold at ${view} (${more.size} files)`, kB(more), 'kB', 120);
  }
  const later = new Set(all.filter((name) => !first.has(name)));
  console.log(`  everything that may be loaded later: ${kB(later).toFixed(1)} kB`);
}
