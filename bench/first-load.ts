import { readdirSync, readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { report } from './report';

/** What the browser fetches before the list of jobs can be drawn: the page’s own script and all it imports at once. */
export function benchFirstLoad(): void {
  const directory = 'dist/web/assets';
  const page = readFileSync('dist/web/index.html', 'utf8');
  const wanted = new Set([...page.matchAll(/assets\/([\w-]+\.js)/g)].map(([, name]) => name ?? ''));
  for (const name of wanted) {
    const text = readFileSync(`${directory}/${name}`, 'utf8');
    for (const [, imported] of text.matchAll(/(?:from|import)\s*["']\.\/([\w-]+\.js)["']/g))
      if (imported) wanted.add(imported);
  }
  const bytes = [...wanted].reduce((total, name) => total + gzipSync(readFileSync(`${directory}/${name}`)).length, 0);
  report(`JavaScript for the list of jobs, gzipped (${wanted.size} files)`, bytes / 1000, 'kB', 150);
  const survey = new Set([readdirSync(directory).find((name) => /^SurveyPage-.*\.js$/.test(name)) ?? '']);
  for (const name of survey) {
    const text = readFileSync(`${directory}/${name}`, 'utf8');
    for (const [, imported] of text.matchAll(/(?:from|import)\s*["']\.\/([\w-]+\.js)["']/g))
      if (imported && !wanted.has(imported)) survey.add(imported);
  }
  const opened = [...survey].reduce((total, name) => total + gzipSync(readFileSync(`${directory}/${name}`)).length, 0);
  report(`  more for a survey opened cold (${survey.size} files)`, opened / 1000, 'kB', 120);
  const all = readdirSync(directory).filter((name) => name.endsWith('.js'));
  const later = all
    .filter((name) => !wanted.has(name))
    .reduce((total, name) => total + gzipSync(readFileSync(`${directory}/${name}`)).length, 0);
  console.log(`  loaded later, when a survey is opened: ${(later / 1000).toFixed(1)} kB`);
}
