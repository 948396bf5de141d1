import { readdirSync } from 'node:fs';
import { gzippedBytes, namedByThePage, withImports } from '../web/built-files';
import { report } from './report';

const kB = (names: Iterable<string>): number => gzippedBytes(names) / 1000;

/** What the browser fetches before the list of jobs can be drawn, and what more before a survey’s first station and its next question can. */
export function benchFirstLoad(): void {
  const all = readdirSync('dist/web/assets').filter((name) => name.endsWith('.js'));
  const part = (name: string): string[] => all.filter((file) => file.startsWith(`${name}-`));
  const first = withImports(namedByThePage());
  report(`JavaScript for the list of jobs, gzipped (${first.size} files)`, kB(first), 'kB', 150);
  for (const [view, name] of [
    ['its first station', 'PlaceStation'],
    ['the next question', 'PassView'],
  ] as const) {
    const more = withImports([...part('SurveyPage'), ...part(name)], first);
    report(`  more for a survey opened cold at ${view} (${more.size} files)`, kB(more), 'kB', 120);
  }
  const later = all.filter((name) => !first.has(name));
  console.log(`  everything that may be loaded later: ${kB(later).toFixed(1)} kB`);
}
