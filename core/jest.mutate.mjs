import config from '../jest.config.mjs';

const [core] = config.projects;

/** The tests that mutants are held against. */
export default {
  ...core,
  rootDir: import.meta.dirname,
  testMatch: ['<rootDir>/mutants/every-case.ts'],
  testTimeout: 60000,
};
