/** How mutants are made and judged; `npm run mutate` says of which lines. */
export default {
  // What people read is left alone: words are changed every week, and tests hold ids and figures.
  mutator: { excludedMutations: ['StringLiteral'] },
  testRunner: 'jest',
  jest: { configFile: 'core/jest.mutate.mjs', enableFindRelatedTests: false },
  coverageAnalysis: 'perTest',
  ignoreStatic: true,
  // Types are checked by the compiler, and stripped by the tests.
  disableTypeChecks: false,
  ignorePatterns: ['dist', '.run', 'docs', 'web', 'server', 'e2e', 'bench', 'faults', 'standins', 'test-results', 'zz'],
  tempDirName: '.run/mutants',
  concurrency: 2,
  timeoutMS: 15_000,
  reporters: ['clear-text', 'progress-append-only', 'json'],
  jsonReporter: { fileName: '.run/mutants.json' },
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
  thresholds: { high: 90, low: 80, break: 80 },
};
