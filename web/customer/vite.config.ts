import { join } from 'node:path';
import { defineConfig } from 'vite';
import { compressedAhead } from '../compressed.ts';

/**
 * The customer’s page by itself: it is opened once, on an old telephone and a bad line, by somebody who has no account. So it is small, drawn by the small sibling of the
 * library the application is drawn by, and written for browsers several years old.
 */
export default defineConfig({
  root: import.meta.dirname,
  base: '/c/',
  plugins: [compressedAhead()],
  oxc: { jsx: { runtime: 'automatic', importSource: 'preact' } },
  build: {
    outDir: '../../dist/web/c',
    emptyOutDir: true,
    target: ['es2019', 'safari13', 'chrome80', 'firefox78'],
    modulePreload: { polyfill: false },
    assetsInlineLimit: 0,
    // Two pages: the survey that a customer makes, and the quotation that one answers.
    rolldownOptions: {
      input: ['index.html', 'quotation.html'].map((page) => join(import.meta.dirname, page)),
    },
  },
});
