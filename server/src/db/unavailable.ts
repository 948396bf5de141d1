/** What PostgreSQL says when it cannot do the work now and might a moment later: each is a class or a code of its own (appendix A of its manual). */
const PASSING_CLASSES = ['08', '53', '57'];
const PASSING_CODES = ['40001', '40P01', '55P03', '25P03', '25P04'];

/** What the network says. */
const CUT = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'EHOSTUNREACH',
  'ENETUNREACH',
  'ENOTFOUND',
  'EAI_AGAIN',
]);

/** What node-postgres says, which gives these no code. */
const SAID =
  /^(Connection terminated|timeout exceeded when trying to connect|Query read timeout|timeout expired|Client has encountered a connection error|The client was ended|Client was closed|Cannot use a pool after)/;

/**
 * Whether an error says that the database is away, full, hanging or cut off, rather than that something is wrong with what it was asked:
 * the same may be asked again. Looks through causes and through several errors in one.
 */
export function isUnavailable(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  if (error instanceof AggregateError && error.errors.some(isUnavailable)) return true;
  const code = 'code' in error && typeof error.code === 'string' ? error.code : '';
  const passing = PASSING_CODES.includes(code) || (code.length === 5 && PASSING_CLASSES.includes(code.slice(0, 2)));
  return passing || CUT.has(code) || SAID.test(error.message) || isUnavailable(error.cause);
}
