import { isText } from '@keen-gauge/core/survey/opening/plain';
import { IsIn, IsOptional, IsString, MaxLength } from 'class-validator';
import { Router } from 'express';
import type { Pool } from 'pg';
import type { Logger } from 'pino';
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { bodyAs } from '../http/body';
import { Problem } from '../http/problem';
import { placeOf } from '../people/known-places';
import type { Metrics } from './metrics';

class ReportBody {
  @IsIn(['error', 'rejection', 'part-missing', 'not-kept'], {
    message: 'one of error, rejection, part-missing, not-kept',
  })
  kind: string;
  @IsString({ message: 'text' }) @MaxLength(300, { message: 'at most 300 characters' }) message: string;
  @IsOptional()
  @IsString({ message: 'text' })
  @MaxLength(4000, { message: 'at most 4000 characters' })
  stack?: string;
  /** The page as the application declares it, without what is in its places. */
  @IsOptional()
  @IsString({ message: 'text' })
  @MaxLength(100, { message: 'at most 100 characters' })
  page?: string;
}

/** So many from one address in a quarter of an hour: a page in a loop fills nobody's log. */
const MOST = 20;
const SECONDS = 15 * 60;

/** Failures of the web application, told by the browser it failed in. Anybody may tell one: a page that cannot sign in fails too. */
export function reportRoutes(pool: Pool, log: Logger, metrics: Metrics): Router {
  const limit = new RateLimiterPostgres({
    storeClient: pool,
    tableName: 'sign_in_counts',
    tableCreated: true,
    keyPrefix: 'report',
    points: MOST,
    duration: SECONDS,
  });
  const router = Router();
  router.post('/', async (request, response) => {
    const { kind, message, stack, page } = bodyAs(ReportBody, request.body);
    await limit.consume(placeOf(request).address).catch((refusal: unknown) => {
      if (refusal instanceof RateLimiterRes) throw new Problem(429, 'Too many reports', 'They have been noted.');
      throw refusal;
    });
    metrics.browserReport();
    log.warn(
      { report: kind, message: unquoted(message), stack: framesOf(stack ?? ''), page: pageOf(page) },
      'browser report',
    );
    response.status(204).end();
  });
  return router;
}

/** Without what stands in quotation marks, which may have been typed. */
function unquoted(message: string): string {
  return message.replace(/(["“'‘`]).*(["”'’`])/s, '$1…$2');
}

function framesOf(stack: string): string[] {
  return stack
    .split('\n')
    .filter((line) => isText(line) && /^\s*(at .*|\S*@\S+):\d+:\d+\)?$/.test(line))
    .slice(0, 12)
    .map((line) => line.trim().slice(0, 200));
}

/** A page is told by its pattern: anything that is not one is left out. */
function pageOf(page: string | undefined): string | undefined {
  return page !== undefined && /^[a-z/:-]*$/i.test(page) ? page : undefined;
}
