import type { ErrorRequestHandler, RequestHandler } from 'express';
import type { Logger } from 'pino';
import { Problem } from './problem';

/** Errors of reading a request, as body-parser names them. */
const READING_ERRORS: Readonly<Record<string, Problem>> = {
  'entity.too.large': new Problem(413, 'Too large', 'The request is larger than 1 MB. Nothing was changed.'),
  'entity.parse.failed': new Problem(400, 'Not JSON', 'The request body is not JSON. Nothing was changed.'),
  'entity.verify.failed': new Problem(400, 'Not UTF-8', 'The request body is not valid UTF-8. Nothing was changed.'),
  'charset.unsupported': new Problem(415, 'Not UTF-8', 'Requests are read as UTF-8 only. Nothing was changed.'),
  'encoding.unsupported': new Problem(415, 'Unknown encoding', 'The request’s content encoding is not known.'),
  'request.aborted': new Problem(400, 'Cut off', 'The request stopped before its end. Nothing was changed.'),
};

/** A client-made id that something this firm may or may not see already has: nothing more is said of it. */
const TAKEN_ID = new Problem(409, 'Not stored', 'That id is taken. Send it again under another; nothing was changed.');

/** PostgreSQL’s unique violation, and its refusal to write over a row of another firm. */
function isTakenId(error: unknown): boolean {
  return error instanceof Error && 'code' in error && (error.code === '23505' || error.code === '42501');
}

/** Every error as a problem document; what is not the caller's doing is logged, without the request's contents. */
export function problemErrors(log: Logger): ErrorRequestHandler {
  return (error: unknown, request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const kind = typeof error === 'object' && error !== null && 'type' in error ? String(error.type) : '';
    const known =
      error instanceof Problem ? error : (READING_ERRORS[kind] ?? (isTakenId(error) ? TAKEN_ID : undefined));
    if (!known) log.error({ error, method: request.method, path: request.path }, 'request failed');
    const problem =
      known ?? new Problem(500, 'Something went wrong here', 'It has been logged. Nothing was changed; try again.');
    response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
  };
}

/** For addresses under the API that lead nowhere. */
export const noSuchAddress: RequestHandler = (request) => {
  throw new Problem(404, 'Not found', `Nothing answers ${request.method} at this address.`);
};
