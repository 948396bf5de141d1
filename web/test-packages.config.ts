import { defineConfig } from 'vite';

/**
 * Packages of hundreds of modules, each in one file for the tests. Jest opens every module anew for every test file: of the libraries of controls, charts, checks and holidays
 * that took two seconds a file. `jest.config.mjs` says who gets which.
 */
export default defineConfig({
  root: import.meta.dirname,
  publicDir: false,
  // One React for all of them and for us.
  ssr: { noExternal: true, external: ['react', 'react-dom'] },
  build: {
    ssr: true,
    outDir: '../dist/test-packages',
    emptyOutDir: true,
    minify: false,
    target: 'es2022',
    rolldownOptions: {
      input: {
        'react-aria-components': 'react-aria-components',
        'internationalized-date': '@internationalized/date',
        recharts: 'recharts',
        'class-validator': 'class-validator',
        'date-holidays': 'date-holidays',
        'tus-server': '@tus/server',
        'zxcvbn-ts-core': '@zxcvbn-ts/core',
        'testing-library-dom': '@testing-library/dom',
        'testing-library-react': '@testing-library/react',
        'testing-library-user-event': '@testing-library/user-event',
      },
      output: { format: 'cjs', exports: 'named', entryFileNames: '[name].cjs', chunkFileNames: '[name]-[hash].cjs' },
    },
  },
});
