import {
  DELIMITERS,
  LOG_UNITS,
  LOG_ZONES,
  TIME_FORMATS,
  type Delimiter,
  type LogUnit,
  type LogZone,
  type TimeFormat,
} from '@keen-gauge/core/demand/measured/mapping';
import type { Phase } from '@keen-gauge/core/survey/words/words';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  Max,
  Min,
  ValidateNested,
  IsString,
  MaxLength,
} from 'class-validator';
import express, { Router } from 'express';
import { Readable } from 'node:stream';
import { createGunzip } from 'node:zlib';
import type { Pool } from 'pg';
import { inFirm } from '../db/firm-scope';
import { roomFor } from '../firm/storage';
import { askerOf, idParameter } from '../http/asker';
import { bodyAs } from '../http/body';
import { notFound, Problem } from '../http/problem';
import { headOf } from '../surveys/queries';
import { insertLog, logFile, mappingOf, rememberMapping } from './queries';

const COLUMN = 'a column from 0 to 2000';

class ValueColumnBody {
  @IsInt({ message: COLUMN }) @Min(0, { message: COLUMN }) @Max(2000, { message: COLUMN }) column: number;
  @IsIn(['L1', 'L2', 'L3'], { message: 'L1, L2 or L3' }) phase: Phase;
}

class MappingBody {
  @IsOptional() @IsIn([...DELIMITERS], { message: 'a delimiter' }) delimiter?: Delimiter;
  @IsIn(['long', 'wide'], { message: 'long or wide' }) layout: 'long' | 'wide';
  @IsInt({ message: 'a count of rows' })
  @Min(0, { message: 'a count of rows' })
  @Max(100_000, { message: 'a count of rows' })
  skipRows: number;
  @IsArray({ message: 'one or two columns' })
  @ArrayMinSize(1, { message: 'one or two columns' })
  @ArrayMaxSize(2, { message: 'one or two columns' })
  @IsInt({ each: true, message: COLUMN })
  timeColumns: number[];
  @IsIn([...TIME_FORMATS], { message: 'a format of times' }) timeFormat: TimeFormat;
  @IsIn([...LOG_ZONES], { message: 'utc or uk-local' }) zone: LogZone;
  @IsArray({ message: 'one to three columns' })
  @ArrayMinSize(1, { message: 'one to three columns' })
  @ArrayMaxSize(3, { message: 'one to three columns' })
  @IsObject({ each: true, message: 'columns' })
  @ValidateNested({ each: true, message: 'columns' })
  @Type(() => ValueColumnBody)
  values: ValueColumnBody[];
  @IsOptional() @IsIn([24, 48, 96], { message: '24, 48 or 96' }) perDay?: number;
  @IsOptional() @IsIn([1, 2, 3, 4], { message: 'a distance of columns, 1 to 4' }) every?: number;
  @IsOptional() @IsBoolean({ message: 'true or false' }) longDay?: boolean;
  @IsOptional()
  @IsString({ message: 'the name of a sheet' })
  @MaxLength(200, { message: 'at most 200 characters' })
  sheet?: string;
  @IsIn([...LOG_UNITS], { message: 'a unit' }) unit: LogUnit;
  @IsBoolean({ message: 'true or false' }) accumulating: boolean;
  @IsIn(['.', ','], { message: 'point or comma' }) decimal: '.' | ',';
}

/** A year by the minute is 20 MB and packs to three: this is ten years. */
const MOST_BYTES = '30mb';

/** Unpacked: a year by the second is two hundred megabytes. What unfolds into more is a trap. */
const MOST_UNPACKED = 300_000_000;

const NOT_PACKED = new Problem(422, 'Not a packed log', 'The file is sent packed with gzip. Nothing was kept.');

/** Refuses what does not unpack to its end, or unpacks into more than any log: read through, and kept nowhere meanwhile. */
async function mustUnpack(bytes: Buffer, most = MOST_UNPACKED): Promise<void> {
  let length = 0;
  try {
    for await (const part of Readable.from([bytes]).pipe(createGunzip()) as AsyncIterable<Buffer>)
      if ((length += part.length) > most)
        throw new Problem(
          413,
          'Too large',
          `Unpacked, the log is larger than ${most / 1_000_000} MB. Nothing was kept.`,
        );
  } catch (error) {
    throw error instanceof Problem ? error : NOT_PACKED;
  }
}

/** A job's logs: the file as it was handed in, kept and given back. */
export function logRoutes(pool: Pool): Router {
  const router = Router({ mergeParams: true });

  router.post(
    '/:logId',
    express.raw({ type: 'application/gzip', limit: MOST_BYTES, inflate: false }),
    async (request, response) => {
      const asker = askerOf(request);
      const jobId = idParameter(request, 'jobId', 'job');
      const id = idParameter(request, 'logId', 'log');
      const { name } = request.query;
      const bytes: unknown = request.body;
      if (!Buffer.isBuffer(bytes)) throw NOT_PACKED;
      await mustUnpack(bytes);
      const fileName = typeof name === 'string' && name.trim() !== '' ? name.slice(0, 200) : 'log';
      await inFirm(pool, asker, async (db) => {
        if (!(await headOf(db, jobId))) throw notFound('job');
        await roomFor(db, asker.firmId, bytes.length);
        await insertLog(db, asker, jobId, id, { fileName, bytes });
      });
      response.status(201).json({ id });
    },
  );

  router.get('/:logId', async (request, response) => {
    const jobId = idParameter(request, 'jobId', 'job');
    const id = idParameter(request, 'logId', 'log');
    const file = await inFirm(pool, askerOf(request), (db) => logFile(db, jobId, id));
    if (!file) throw notFound('log');
    // Unpacked by whoever asked, so that what arrives is the file as it was chosen.
    response
      .attachment(file.fileName)
      .set('Content-Encoding', 'gzip')
      .type('application/octet-stream')
      .send(file.bytes);
  });

  return router;
}

/** How the firm reads files of a shape it has met before. */
export function logMappingRoutes(pool: Pool): Router {
  const router = Router();

  const shapeOf = (value: unknown): string => {
    if (typeof value !== 'string' || !/^[0-9a-f]{64}$/.test(value)) throw notFound('shape');
    return value;
  };

  router.get('/:shape', async (request, response) => {
    const shape = shapeOf(request.params['shape']);
    response.json({ mapping: (await inFirm(pool, askerOf(request), (db) => mappingOf(db, shape))) ?? null });
  });

  router.post('/:shape', async (request, response) => {
    const asker = askerOf(request);
    const shape = shapeOf(request.params['shape']);
    const mapping = bodyAs(MappingBody, request.body);
    await inFirm(pool, asker, (db) => rememberMapping(db, asker, shape, JSON.parse(JSON.stringify(mapping)) as object));
    response.status(204).end();
  });

  return router;
}
