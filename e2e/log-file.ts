import { logLines, type Dialect } from '../standins/logger';

/** A logger's file of some days by the minute, as it would be chosen. */
export function logOf(dialect: Dialect, days = 9): { name: string; mimeType: string; buffer: Buffer } {
  const lines = [...logLines({ dialect, days, seed: 4, from: '2026-01-05', everyS: 60 })];
  return { name: `${dialect}.csv`, mimeType: 'text/csv', buffer: Buffer.from(lines.join('\n')) };
}
