import 'express-session';
import type { Request, RequestHandler } from 'express';
import { isUUID } from 'class-validator';
import type { Asker } from '../db/firm-scope';
import { notFound, Problem } from './problem';

declare module 'express-session' {
  interface SessionData {
    asker: Asker;
  }
}

/** Lets only signed-in people through. */
export const signedIn: RequestHandler = (request, _response, next) => {
  askerOf(request);
  next();
};

/** Who is asking; a problem when nobody is signed in. */
export function askerOf(request: Request): Asker {
  const { asker } = request.session;
  // A session of before generations says nothing of whether its access still holds.
  if (!asker || typeof asker.generation !== 'number')
    throw new Problem(401, 'Not signed in', 'Sign in to go on; what you typed is kept here.');
  return asker;
}

/** An id from the address; anything that is not one is simply not found. */
export function idParameter(request: Request, name: string, what: string): string {
  const value = request.params[name];
  if (typeof value !== 'string' || !isUUID(value)) throw notFound(what);
  return value;
}

/**
 * Refuses changes that another site's page sends with the person's cookie. The cookie's SameSite rule already keeps
 * most away; browsers say where a request comes from, so it is checked as well.
 */
export const sameSiteOnly: RequestHandler = (request, _response, next) => {
  const site = request.get('sec-fetch-site');
  const reads = request.method === 'GET' || request.method === 'HEAD';
  if (!reads && site !== undefined && site !== 'same-origin')
    throw new Problem(403, 'Refused', 'The request came from another site.');
  next();
};
