import { measurementOf } from '@keen-gauge/core/demand/measured/summary';
import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { randomUUID as newId } from 'node:crypto';
import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import type { Pool } from 'pg';
import { logLines, type LoggerOptions } from '../../../standins/logger';
import { analyseBytes } from '../cli/log-file';
import { inFirm, type Actor } from '../db/firm-scope';
import { insertLog } from '../logs/queries';

/** A log of the demo, played by the stand-in logger. */
export interface DemoLog {
  readonly by: number;
  readonly fileName: string;
  readonly plays: LoggerOptions;
}

/** Hands a demo log in as a person would: the file kept, its figures in the survey. */
export async function handInLog(pool: Pool, asker: Actor, jobId: string, log: DemoLog, survey: Survey): Promise<void> {
  const bytes = Buffer.from([...logLines(log.plays)].join('\n'));
  const { analysis, openDoubts } = await analyseBytes(bytes, gbDefault);
  const id = newId();
  const packed = await promisify(gzip)(bytes);
  await inFirm(pool, asker, (db) => insertLog(db, asker, jobId, id, { fileName: log.fileName, bytes: packed }));
  survey.measurements.push({
    ...measurementOf(analysis, 'log', openDoubts),
    fileId: id,
    fileName: log.fileName,
    takenBy: 'Tobin Farrowby',
  });
}
