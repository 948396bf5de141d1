import { defineConfig } from 'vite';

/** The server and its command-line programs, one file each; npm packages stay outside, our own core goes in. */
export default defineConfig({
  root: import.meta.dirname,
  build: {
    ssr: true,
    target: 'node20',
    outDir: '../dist/server',
    emptyOutDir: true,
    minify: false,
    rolldownOptions: {
      input: {
        main: 'src/main.ts',
        prepare: 'src/prepare.ts',
        heavy: 'src/heavy/thread.ts',
        assess: 'src/cli/assess.ts',
        schema: 'src/cli/schema.ts',
        'verify-pack': 'src/cli/run-verify-pack.ts',
        firm: 'src/cli/run-firm.ts',
        bench: '../bench/bench.ts',
        'faults-load': '../faults/load.ts',
        fuzz: '../faults/fuzz.ts',
        logger: '../standins/run-logger.ts',
        'bench-part': '../standins/run-bench.ts',
        operator: '../standins/run-operator.ts',
        mail: '../standins/run-mail.ts',
      },
      output: { entryFileNames: '[name].js' },
    },
  },
  ssr: { noExternal: ['@keen-gauge/core'] },
});
