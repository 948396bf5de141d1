import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { brotliDecompressSync } from 'node:zlib';
import { gzippedBytes, importsOf, namedByThePage, withImports } from './built-files';

/** The application as it is built, which the test command does before anything else. */
const DIRECTORY = 'dist/web/assets';
const files = readdirSync(DIRECTORY).filter((name) => name.endsWith('.js'));

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
    expect(circle(files, importsOf)).toBeNull();
    // What would be one is noticed.
    expect(circle(['a'], (name) => (name === 'a' ? ['b'] : ['a']))).toBe('a > b > a');
  });

  it('asks for few files more where a survey is opened', () => {
    const part = (name: string): string[] => files.filter((file) => file.startsWith(`${name}-`));
    const opened = [...part('SurveyPage'), ...part('PlaceStation')];
    expect(opened).toHaveLength(2);
    const more = withImports(opened, withImports(namedByThePage()));
    expect(more.size).toBeLessThanOrEqual(32);
    expect(gzippedBytes(more)).toBeLessThanOrEqual(240_000);
  });

  it('has every script and style beside it as it is sent', () => {
    const large = readdirSync(DIRECTORY).filter(
      (name) => /\.(js|css)$/.test(name) && statSync(join(DIRECTORY, name)).size >= 1000,
    );
    expect(large.length).toBeGreaterThan(50);
    for (const name of large) {
      const built = readFileSync(join(DIRECTORY, name));
      const sent = readFileSync(join(DIRECTORY, `${name}.br`));
      expect(sent.length).toBeLessThan(built.length);
      expect(brotliDecompressSync(sent).equals(built)).toBe(true);
    }
  });

  it('needs at most 150 kB of JavaScript before the list of jobs', () => {
    const bytes = gzippedBytes(withImports(namedByThePage()));
    expect(bytes).toBeGreaterThan(50_000);
    expect(bytes).toBeLessThanOrEqual(150_000);
  });
});
