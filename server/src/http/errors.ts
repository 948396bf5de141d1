import type { ErrorRequestHandler, RequestHandler } from 'express';
import type { Logger } from 'pino';
import { AccessEnded } from '../db/firm-scope';
import { isUnavailable } from '../db/unavailable';
import { REQUEST_ID } from '../signals/request-line';
import { Problem, takenId } from './problem';

/** Errors of reading a request, as body-parser names them. */
const READING_ERRORS: Readonly<Record<string, Problem>> = {
  'entity.too.large': new Problem(413, 'Too large', 'The request is larger than is taken here. Nothing was changed.'),
  'entity.parse.failed': new Problem(400, 'Not JSON', 'The request body is not JSON. Nothing was changed.'),
  'entity.verify.failed': new Problem(400, 'Not UTF-8', 'The request body is not valid UTF-8. Nothing was changed.'),
  'charset.unsupported': new Problem(415, 'Not UTF-8', 'Requests are read as UTF-8 only. Nothing was changed.'),
  'encoding.unsupported': new Problem(415, 'Unknown encoding', 'The request’s content encoding is not known.'),
  'request.aborted': new Problem(400, 'Cut off', 'The request stopped before its end. Nothing was changed.'),
};

/** The client makes the ids of these; which of them an id collided in is no business of the caller's. */
const OF_CLIENT_IDS =
  /^(jobs|revisions|packs|photos|uploads|upload_parts|logs|job_events|submissions|event_attachments|customer_answers|customer_pictures)_pkey$/;

const UNAVAILABLE = new Problem(
  503,
  'The database does not answer',
  'It may or may not be stored. Send it again in a moment: it is stored once. What was typed is kept.',
);

const NOT_SIGNED_IN = new Problem(
  401,
  'Not signed in',
  'Your access has changed. Sign in to go on; what you typed is kept here.',
);

const SECONDS_TO_RETRY = '1';

/**
 * Every error as a problem document. What is the caller's doing says what to do; a database that is away says when to come back; anything else is logged, without
 * what was sent, under the id that the person is shown.
 */
export function problemErrors(log: Logger): ErrorRequestHandler {
  return (error: unknown, _request, response, next) => {
    const id: unknown = response.locals[REQUEST_ID];
    const problem = problemOf(error);
    if (problem === undefined) log.error({ err: error, id }, 'request failed');
    else if (problem === UNAVAILABLE) log.warn({ err: error, id }, 'database does not answer');
    if (response.headersSent) {
      next(error);
      return;
    }
    const told = problem ?? failedUnder(typeof id === 'string' ? id : '');
    if (told.status === 503) response.set('Retry-After', SECONDS_TO_RETRY);
    response.status(told.status).type('application/problem+json').send(JSON.stringify(told));
  };
}

/** What an error is to the caller; undefined where something is wrong here. */
function problemOf(error: unknown): Problem | undefined {
  if (error instanceof Problem) return error;
  if (error instanceof AccessEnded) return NOT_SIGNED_IN;
  if (isUnavailable(error)) return UNAVAILABLE;
  if (!(error instanceof Error)) return undefined;
  const { type, status, code, constraint } = error as Error &
    Partial<Record<'type' | 'status' | 'code' | 'constraint', unknown>>;
  if (typeof type === 'string' && READING_ERRORS[type]) return READING_ERRORS[type];
  if (code === '23505' && typeof constraint === 'string' && OF_CLIENT_IDS.test(constraint)) return takenId();
  // The library that read the request says that it cannot be read; in what words is not for the caller.
  if (typeof status === 'number' && status >= 400 && status < 500)
    return new Problem(status, 'Not readable', 'The request cannot be read. Nothing was changed.');
  return undefined;
}

function failedUnder(requestId: string): Problem {
  return new Problem(
    500,
    'Something went wrong here',
    `Nothing was changed. It has been logged under ${requestId.slice(0, 8)}: say that when you ask.`,
    { requestId },
  );
}

/** For addresses under the API that lead nowhere. */
export const noSuchAddress: RequestHandler = (request) => {
  throw new Problem(404, 'Not found', `Nothing answers ${request.method} at this address.`);
};
