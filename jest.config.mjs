const swc = {
  jsc: {
    target: 'es2022',
    parser: { syntax: 'typescript', tsx: true, decorators: true },
    transform: {
      legacyDecorator: true,
      decoratorMetadata: false,
      useDefineForClassFields: false,
      react: { runtime: 'automatic' },
    },
  },
  module: { type: 'commonjs' },
};
/** The customer’s page is drawn by another library. */
const forPreact = {
  ...swc,
  jsc: { ...swc.jsc, transform: { ...swc.jsc.transform, react: { runtime: 'automatic', importSource: 'preact' } } },
};
/** What is loaded from one file of its own in place of its hundreds: web/test-packages.config.ts says why. */
const inOneFile = (...packages) =>
  Object.fromEntries(
    packages.map((name) => [
      `^${name}$`,
      `<rootDir>/../dist/test-packages/${name.replace('@', '').replace('/', '-')}.cjs`,
    ]),
  );
const shared = {
  transform: {
    '/web/customer/.+\\.tsx$': ['@swc/jest', forPreact],
    '^.+\\.(ts|tsx|js|mjs)$': ['@swc/jest', swc],
  },
  // Packages that are ES modules only: Jest loads them as we load them, turned into its own kind.
  transformIgnorePatterns: ['/node_modules/(?!(@tus|srvx|preact)/)'],
  testEnvironment: 'node',
  moduleNameMapper: inOneFile('class-validator'),
  globalSetup: '<rootDir>/../jest.packages.mjs',
};
/** Loaded together from what was built together, so that there is one of each. */
const forTheWeb = inOneFile(
  'class-validator',
  'react-aria-components',
  '@internationalized/date',
  'recharts',
  '@testing-library/dom',
  '@testing-library/react',
  '@testing-library/user-event',
);

/**
 * Looked up in the sandbox of a test file these take several times as long, and the trial asks for them a hundred million times. Not for the web,
 * where a file may import an icon of one of these names.
 */
const sandboxInjectedGlobals = ['Math', 'Number', 'Object', 'Array', 'Map', 'Set', 'Float64Array'];

export default {
  // Starting the server's bench takes a while where the machine is busy with other things.
  testTimeout: 60000,
  projects: [
    { ...shared, displayName: 'core', rootDir: 'core', sandboxInjectedGlobals },
    {
      ...shared,
      displayName: 'web',
      rootDir: 'web',
      setupFiles: ['<rootDir>/jest.setup.mjs'],
      moduleNameMapper: forTheWeb,
    },
    {
      ...shared,
      // A package that reads certificates has a class of that name.
      sandboxInjectedGlobals: sandboxInjectedGlobals.filter((name) => name !== 'Set'),
      displayName: 'server',
      moduleNameMapper: inOneFile('class-validator', 'date-holidays', '@tus/server', '@zxcvbn-ts/core'),
      rootDir: 'server',
      globalSetup: '<rootDir>/jest.database.mjs',
      globalTeardown: '<rootDir>/jest.database-stop.mjs',
    },
  ],
};
