import compression from 'compression';
import connectPg from 'connect-pg-simple';
import express, { type Express, type RequestHandler } from 'express';
import session from 'express-session';
import { isUtf8 } from 'node:buffer';
import { existsSync } from 'node:fs';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { join } from 'node:path';
import onHeaders from 'on-headers';
import { requestLines, takenOnAt } from '../signals/request-line';
import { sameSiteOnly, signedIn } from './asker';
import { noSuchAddress, problemErrors } from './errors';
import { securityHeaders, serveWeb } from './web-pages';
import { healthRoutes, type Standing } from './health';
import { apiMounts } from './mounts';
import type { AppParts } from './parts';
import { onlyText } from './text';

const SESSION_COOKIE = 'keen.sid';
const DAYS_14 = 14 * 24 * 60 * 60 * 1000;

/** The HTTP application: the API under /api, and the web application everywhere else. Keeps nothing in memory. */
export function makeApp(parts: AppParts): Express {
  const { pool, log, metrics, webDirectory, standing = { stopping: false } } = parts;
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', parts.trustedProxies ?? false);
  app.set('query parser', 'simple');
  app.use(requestLines(log, metrics));
  app.use(closesWhenStopping(standing));
  app.use(securityHeaders());
  app.use(compression());
  app.use('/api', noStore, takenOnAt('/api'), healthRoutes(pool, standing), apiOf(parts));
  if (webDirectory !== undefined && existsSync(join(webDirectory, 'index.html'))) serveWeb(app, webDirectory);
  app.use(problemErrors(log));
  return app;
}

function apiOf(parts: AppParts): express.Router {
  const api = express.Router();
  api.use(takenOnAt('none'));
  api.use(onlyText);
  api.use(express.json({ limit: '1mb', strict: false, verify: mustBeUtf8 }));
  api.use(sameSiteOnly);
  api.use(sessionCookieFirst);
  api.use(sessions(parts));
  for (const { path, open, router } of apiMounts(parts))
    api.use(path, takenOnAt(`/api${path}`), ...(open ? [] : [signedIn]), router);
  api.use(takenOnAt('none'), noSuchAddress);
  return api;
}

function sessions({ pool, sessionSecret, log }: AppParts): RequestHandler {
  const Store = connectPg(session);
  return session({
    name: SESSION_COOKIE,
    secret: sessionSecret,
    store: new Store({
      pool,
      pruneSessionInterval: 15 * 60,
      // Sessions end a fixed time after signing in, so that reading and saving write nothing to them.
      disableTouch: true,
      errorLog: (...args: unknown[]) => {
        log.warn({ err: args.find((each) => each instanceof Error) }, 'session store');
      },
    }),
    resave: false,
    saveUninitialized: false,
    cookie: { httpOnly: true, sameSite: 'lax', secure: 'auto', maxAge: DAYS_14 },
  });
}

/** Where an answer sets several cookies the session's comes first: simple clients take that one. */
const sessionCookieFirst: RequestHandler = (_request, response, next) => {
  onHeaders(response, () => {
    const cookies = response.getHeader('Set-Cookie');
    if (!Array.isArray(cookies)) return;
    const isSession = (cookie: string): boolean => cookie.startsWith(`${SESSION_COOKIE}=`);
    response.setHeader('Set-Cookie', [...cookies.filter(isSession), ...cookies.filter((each) => !isSession(each))]);
  });
  next();
};

const noStore: RequestHandler = (_request, response, next) => {
  response.set('Cache-Control', 'no-store');
  next();
};

/** Tells a client that keeps its connection open to ask its next question of another instance. */
function closesWhenStopping(standing: Standing): RequestHandler {
  return (_request, response, next) => {
    if (standing.stopping) response.set('Connection', 'close');
    next();
  };
}

function mustBeUtf8(_request: IncomingMessage, _response: ServerResponse, body: Buffer): void {
  if (!isUtf8(body)) throw new Error('not UTF-8');
}
