import fc from 'fast-check';

/**
 * For tests: how many random cases a law is held to. All of those written where a test is run by itself; a share of them in a whole test run and where mutants are
 * held against it; many times as many where `npm run laws` looks further (LAW_SHARE).
 */
export function lawRuns(all: number): number {
  return Math.max(2, Math.ceil(all * Number(process.env['LAW_SHARE'] ?? 1)));
}

/** A test run tells of the code and not of its luck: the same random cases every time. `npm run laws` draws others (LAW_SEED). */
const SEED = Number(process.env['LAW_SEED'] ?? 20_261_201);

fc.configureGlobal({ seed: SEED, numRuns: lawRuns(100) });

export { fc };
