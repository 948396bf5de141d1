/** An error as a line of the log may have it: enough to find it by, nothing that somebody typed. */
export interface ErrorLine {
  readonly type: string;
  readonly message: string;
  readonly code?: string;
  /** Of a database error: what it is about, by the schema's own names. */
  readonly table?: string;
  readonly constraint?: string;
  readonly stack?: string;
  readonly cause?: ErrorLine;
}

/** How many causes are followed. */
const DEEPEST = 5;

/**
 * An error with its cause and where it came from. What stands between quotation marks in a message is left out, and so is the detail of a database
 * error: both quote what was sent.
 */
export function errorLine(error: unknown, depth = 0): ErrorLine {
  if (!(error instanceof Error)) return { type: typeof error, message: 'not an error' };
  const fields = error as Error & Partial<Record<'code' | 'table' | 'constraint', unknown>>;
  const text = (value: unknown): string | undefined => (typeof value === 'string' ? value : undefined);
  const [code, table, constraint] = [text(fields.code), text(fields.table), text(fields.constraint)];
  return {
    type: error.constructor.name,
    message: withoutQuoted(error.message),
    ...(code === undefined ? {} : { code }),
    ...(table === undefined ? {} : { table }),
    ...(constraint === undefined ? {} : { constraint }),
    ...(error.stack === undefined ? {} : { stack: framesOf(error.stack) }),
    ...(error.cause === undefined || depth === DEEPEST ? {} : { cause: errorLine(error.cause, depth + 1) }),
  };
}

/** From the first quotation mark to the last, since what is quoted may hold some of its own. */
function withoutQuoted(message: string): string {
  return message.replace(/".*"/s, '"…"').slice(0, 300);
}

/** The frames alone: the message above them is told apart, and shortened. */
function framesOf(stack: string): string {
  return stack
    .split('\n')
    .filter((line) => /^\s+at /.test(line))
    .slice(0, 12)
    .map((line) => line.trim())
    .join('\n');
}
