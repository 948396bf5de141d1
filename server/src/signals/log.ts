import pino, { type DestinationStream, type Logger } from 'pino';
import { errorLine } from './error-line';

/** The log: one structured line for each thing, errors told without what was typed. */
export function openLog(level: string, to?: DestinationStream): Logger {
  const options = { level, serializers: { err: errorLine, cause: errorLine } };
  return to ? pino(options, to) : pino(options);
}
