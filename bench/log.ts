import { analyseLog } from '@keen-gauge/core/demand/measured/analyse';
import { guessDelimiter, guessMapping } from '@keen-gauge/core/demand/measured/guess';
import { bootstrapInterval } from '@keen-gauge/core/demand/measured/gumbel';
import { LogReader } from '@keen-gauge/core/demand/measured/read-log';
import Papa from 'papaparse';
import { logLines, type LoggerOptions } from '../standins/logger';
import { report } from './report';

/** A log parsed, checked and analysed in one thread, as the page's worker does it; seconds of each part. */
function timed(text: string): { rows: number; parse: number; analyse: number } {
  const guess = guessMapping(
    Papa.parse<string[]>(text.slice(0, 30_000), { delimiter: guessDelimiter(text.slice(0, 30_000)) }).data,
  );
  if (!guess) throw new Error('no log');
  const start = performance.now();
  const reader = new LogReader(guess.mapping, 230);
  const delimiter = guessDelimiter(text.slice(0, 30_000));
  let rows = 0;
  // A megabyte at a time, as it comes from a file.
  for (let at = 0; at < text.length;) {
    const end = text.length - at < 1 << 20 ? text.length : text.lastIndexOf('\n', at + (1 << 20)) + 1;
    const { data } = Papa.parse<string[]>(text.slice(at, end), { delimiter });
    rows += data.length;
    reader.add(data);
    at = end;
  }
  const read = performance.now();
  const analysis = analyseLog(reader.finish());
  if (analysis.samples < rows / 2) throw new Error('rows were lost');
  return { rows, parse: (read - start) / 1000, analyse: (performance.now() - read) / 1000 };
}

/** One year by the minute, ten years by the half-hour, and the bootstrap of a fit. */
export function benchLog(): void {
  const written = (options: Partial<LoggerOptions>): string =>
    [...logLines({ dialect: 'plain', days: 365, seed: 2, from: '2025-01-01', everyS: 60, ...options })].join('\n');
  const year = written({});
  timed(year.slice(0, 4_000_000));
  const minutes = timed(year);
  report(
    `a year by the minute, ${minutes.rows} rows, ${(year.length / 1e6).toFixed(1)} MB: parsed and analysed`,
    minutes.parse + minutes.analyse,
    's',
    1.5,
  );
  console.log(
    `  reading ${minutes.parse.toFixed(2)} s, figures ${minutes.analyse.toFixed(2)} s; ${(process.memoryUsage().rss / 1e6).toFixed(0)} MB resident`,
  );
  const decade = timed(written({ days: 3650, everyS: 1800 }));
  report(`ten years by the half-hour, ${decade.rows} rows: parsed and analysed`, decade.parse + decade.analyse, 's', 1);
  const highs = Array.from({ length: 365 }, (_, day) => 20 + ((day * 37) % 101) / 7);
  const start = performance.now();
  bootstrapInterval(highs, 365, 2000);
  report('bootstrap of 2 000 resamples of 365 days', performance.now() - start, 'ms', 300);
}
