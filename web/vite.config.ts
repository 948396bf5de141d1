import optimizeLocales from '@react-aria/optimize-locales-plugin';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { compressedAhead } from './compressed.ts';
import { dividedIntoFiles } from './files.ts';

/** What reads numbers off photographs: large, asked for only then, and at addresses of its own, since it alone may compile what it runs. */
const OCR = [
  'tesseract.js/dist/worker.min.js',
  'tesseract.js-core/tesseract-core-simd-lstm.wasm.js',
  '@tesseract.js-data/eng/4.0.0_best_int/eng.traineddata.gz',
];

function ocrFiles(): Plugin {
  const { resolve } = createRequire(import.meta.url);
  return {
    name: 'ocr-files',
    apply: 'build',
    generateBundle() {
      for (const file of OCR)
        this.emitFile({
          type: 'asset',
          fileName: `ocr/${file.split('/').at(-1) ?? ''}`,
          source: readFileSync(resolve(file)),
        });
    },
  };
}

export default defineConfig({
  root: import.meta.dirname,
  plugins: [
    // What did not change between two drawings is kept: a key redraws only what shows its value.
    react({ compiler: true }),
    // The interface speaks English only: the library’s other thirty languages stay out of what a phone fetches.
    optimizeLocales.vite({ locales: ['en-GB', 'en-US'] }),
    dividedIntoFiles(),
    ocrFiles(),
    compressedAhead(),
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'sw',
      filename: 'sw.ts',
      // The application asks for it itself, once the first page stands.
      injectRegister: null,
      manifest: {
        name: 'Keen Gauge',
        short_name: 'Keen Gauge',
        description: 'Electrical supply surveys: measure, reckon, decide, and tell the network operator.',
        lang: 'en-GB',
        start_url: '/',
        scope: '/',
        display: 'standalone',
        background_color: '#f3efe6',
        theme_color: '#18222c',
        icons: [
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      injectManifest: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2,wasm}'],
        globIgnores: ['ocr/**'],
        maximumFileSizeToCacheInBytes: 8_000_000,
        // The page is what the server gives at every address: it carries a nonce, which a file could not.
        manifestTransforms: [
          (entries) => ({
            manifest: entries.map((entry) => (entry.url === 'index.html' ? { ...entry, url: '/' } : entry)),
            warnings: [],
          }),
        ],
      },
    }),
  ],
  resolve: {
    // What this library is without its checks for developers, which its own addresses do not give.
    alias: {
      'react-router': createRequire(import.meta.url)
        .resolve('react-router')
        .replace(/dist([\\/])development/, 'dist$1production'),
    },
  },
  build: {
    outDir: '../dist/web',
    emptyOutDir: true,
    target: 'es2022',
    modulePreload: { polyfill: false },
    assetsInlineLimit: 0,
  },

  server: { proxy: { '/api': 'http://127.0.0.1:4600' } },
});
