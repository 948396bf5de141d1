import { parse } from 'acorn';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

/** The page as it is built, which the test command does before anything else. */
const BUILT = join(process.cwd(), 'dist/web/c');

const scripts = (): Buffer[] =>
  readdirSync(join(BUILT, 'assets'))
    .filter((name) => name.endsWith('.js'))
    .map((name) => readFileSync(join(BUILT, 'assets', name)));

describe('the customer’s page as it is built', () => {
  it('is there', () => {
    expect(existsSync(join(BUILT, 'index.html'))).toBe(true);
  });

  it('needs at most 60 kB of JavaScript before its first step', () => {
    const bytes = scripts().reduce((sum, script) => sum + gzipSync(script).length, 0);
    expect(bytes).toBeGreaterThan(5_000);
    expect(bytes).toBeLessThanOrEqual(60_000);
  });

  it('is written as browsers of 2019 read it', () => {
    for (const script of scripts())
      expect(() =>
        parse(script.toString('utf8'), { ecmaVersion: 2019, sourceType: 'module', allowImportExportEverywhere: true }),
      ).not.toThrow();
    // What would not be read is noticed.
    expect(() => parse('a?.b', { ecmaVersion: 2019 })).toThrow();
  });
});
