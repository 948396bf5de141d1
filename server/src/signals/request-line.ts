import type { Request, RequestHandler, Response } from 'express';
import { randomUUID } from 'node:crypto';
import type { Logger } from 'pino';
import type { Metrics } from './metrics';

/** Under what a request is found in the log; the person is shown it where something went wrong. */
export const REQUEST_ID = 'requestId';

/** Under which address of the application a request was taken on. */
const MOUNT = 'mount';

/**
 * One line for each request when it is over: id, method, route as it is declared, status, how long it took, and whose firm it was. Neither the address itself
 * nor what was sent or searched for is in it.
 */
export function requestLines(log: Logger, metrics: Metrics): RequestHandler {
  return (request, response, next) => {
    const started = process.hrtime.bigint();
    const id = randomUUID();
    response.locals[REQUEST_ID] = id;
    response.set('X-Request-Id', id);
    response.once('close', () => {
      const ms = Number(process.hrtime.bigint() - started) / 1e6;
      const route = routeOf(request, response);
      const { statusCode: status } = response;
      metrics.request(request.method, route, status, ms / 1000);
      const line = {
        id,
        method: request.method,
        route,
        status,
        ms: Math.round(ms * 10) / 10,
        // Set by the session, where the request came as far.
        firm: (request as { session?: typeof request.session }).session?.asker?.firmId,
        ...(response.writableFinished ? {} : { cutOff: true }),
      };
      if (status >= 500) log.warn(line, 'request');
      else log.info(line, 'request');
    });
    next();
  };
}

/** Notes which address of the application takes a request on. */
export function takenOnAt(mount: string): RequestHandler {
  return (_request, response, next) => {
    response.locals[MOUNT] = mount;
    next();
  };
}

/** The address as it is declared, `/api/jobs/:jobId`, whatever was put in its places; `none` where nothing answers. */
function routeOf(request: Request, response: Response): string {
  const mount: unknown = response.locals[MOUNT];
  if (typeof mount !== 'string') return 'none';
  const { path } = (request.route ?? {}) as { path?: unknown };
  return typeof path === 'string' && path !== '/' ? `${mount}${path}` : mount;
}
