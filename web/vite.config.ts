import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  root: import.meta.dirname,
  // What did not change between two drawings is kept: a key redraws only what shows its value.
  plugins: [react({ compiler: true })],
  build: {
    outDir: '../dist/web',
    emptyOutDir: true,
    target: 'es2022',
    modulePreload: { polyfill: false },
    assetsInlineLimit: 0,
  },

  server: { proxy: { '/api': 'http://127.0.0.1:4600' } },
});
