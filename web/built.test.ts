import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

/** The application as it is built, which the test command does before anything else. */
const BUILT = join(process.cwd(), 'dist/web');

const read = (name: string): string => readFileSync(join(BUILT, 'assets', name), 'utf8');
/** What a file asks for before any of it runs. */
const imports = (name: string): string[] =>
  [...read(name).matchAll(/(?:from|import)\s*["'`]\.\/([\w.-]+\.js)["'`]/g)].map(([, found]) => found ?? '');
const files = readdirSync(join(BUILT, 'assets')).filter((name) => name.endsWith('.js'));

/** Files that wait for one another in a circle, as a path; null where none do. */
function circle(of: readonly string[], asks: (name: string) => readonly string[]): string | null {
  const done = new Set<string>();
  const walk = (name: string, path: readonly string[]): string | null => {
    if (path.includes(name)) return [...path.slice(path.indexOf(name)), name].join(' > ');
    if (done.has(name)) return null;
    for (const next of asks(name)) {
      const found = walk(next, [...path, name]);
      if (found !== null) return found;
    }
    done.add(name);
    return null;
  };
  return of.reduce<string | null>((found, name) => found ?? walk(name, []), null);
}

describe('the application as it is built', () => {
  it('is divided into files none of which waits for one that waits for it', () => {
    expect(files.length).toBeGreaterThan(50);
    expect(circle(files, imports)).toBeNull();
    // What would be one is noticed.
    expect(circle(['a'], (name) => (name === 'a' ? ['b'] : ['a']))).toBe('a > b > a');
  });

  it('needs at most 150 kB of JavaScript before the list of jobs', () => {
    const page = readFileSync(join(BUILT, 'index.html'), 'utf8');
    const first = new Set([...page.matchAll(/assets\/([\w.-]+\.js)/g)].map(([, name]) => name ?? ''));
    // A set that grows while it is gone through is gone through to its end.
    for (const name of first) for (const imported of imports(name)) first.add(imported);
    const bytes = [...first].reduce((sum, name) => sum + gzipSync(read(name)).length, 0);
    expect(bytes).toBeGreaterThan(50_000);
    expect(bytes).toBeLessThanOrEqual(150_000);
  });
});
