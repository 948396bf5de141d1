import config from '../jest.config.mjs';

const [core] = config.projects;

/** The tests that mutants are held against, in a copy of the core alone: packages are loaded as they are. */
export default {
  ...core,
  moduleNameMapper: {},
  globalSetup: undefined,
  rootDir: import.meta.dirname,
  testMatch: ['<rootDir>/mutants/every-case.ts'],
  testTimeout: 60000,
};
