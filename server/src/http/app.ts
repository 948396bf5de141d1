import compression from 'compression';
import connectPg from 'connect-pg-simple';
import express, { type Express, type RequestHandler } from 'express';
import session from 'express-session';
import helmet from 'helmet';
import { isUtf8 } from 'node:buffer';
import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { join } from 'node:path';
import type { Pool } from 'pg';
import type { Logger } from 'pino';
import { chargePointRoutes } from '../charge-points/routes';
import { firmAuditRoutes, jobAuditRoutes } from '../audit/routes';
import { diaryRoutes, feedRoutes } from '../calendar/diary-routes';
import { holidayRoutes, jobCalendarRoutes } from '../calendar/routes';
import { attachmentRoutes } from '../events/attachments';
import { eventRoutes } from '../events/routes';
import { firmRoutes } from '../firm/routes';
import { ruleRoutes } from '../firm/rule-routes';
import { jobRoutes } from '../jobs/routes';
import { jobPackRoutes, packRoutes } from '../packs/routes';
import { instrumentRoutes } from '../instruments/routes';
import { logMappingRoutes, logRoutes } from '../logs/routes';
import type { OperatorAddresses } from '../operator/addresses';
import { submissionRoutes } from '../operator/routes';
import { peopleRoutes } from '../people/routes';
import { photoRoutes, uploadRoutes } from '../photos/routes';
import { surveyRoutes } from '../surveys/routes';
import { sameSiteOnly, signedIn } from './asker';
import { noSuchAddress, problemErrors } from './errors';

export interface AppParts {
  readonly pool: Pool;
  readonly sessionSecret: string;
  readonly log: Logger;
  /** Where the built web application is; without it only the API is served. */
  readonly webDirectory?: string;
  /** Proxies in front whose forwarded addresses are believed. */
  readonly trustedProxies?: number;
  /** Where packs are handed in; none, and they are sent by hand. */
  readonly operators?: OperatorAddresses;
}

const DAYS_14 = 14 * 24 * 60 * 60 * 1000;

/** The HTTP application: the API under /api, and the web application everywhere else. Keeps nothing in memory. */
export function makeApp(parts: AppParts): Express {
  const { pool, sessionSecret, log, webDirectory } = parts;
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', parts.trustedProxies ?? false);
  app.set('query parser', 'simple');
  app.use(securityHeaders());
  app.use(compression());

  const api = express.Router();
  api.use(express.json({ limit: '1mb', strict: false, verify: mustBeUtf8 }));
  api.use(sameSiteOnly);
  const Store = connectPg(session);
  api.use(
    session({
      name: 'keen.sid',
      secret: sessionSecret,
      store: new Store({
        pool,
        pruneSessionInterval: 15 * 60,
        // Sessions end a fixed time after signing in, so that reading and saving write nothing to them.
        disableTouch: true,
        errorLog: (...args) => {
          log.error({ args }, 'session store');
        },
      }),
      resave: false,
      saveUninitialized: false,
      cookie: { httpOnly: true, sameSite: 'lax', secure: 'auto', maxAge: DAYS_14 },
    }),
  );
  api.get('/health', async (_request, response) => {
    await pool.query('SELECT 1');
    response.json({ ok: true });
  });
  api.use(peopleRoutes(pool));
  api.use('/jobs/:jobId/survey', signedIn, surveyRoutes(pool));
  api.use('/jobs/:jobId/packs', signedIn, jobPackRoutes(pool));
  api.use('/jobs/:jobId/uploads', signedIn, uploadRoutes(pool));
  api.use('/jobs/:jobId/photos', signedIn, photoRoutes(pool));
  api.use('/jobs/:jobId/logs', signedIn, logRoutes(pool));
  api.use('/jobs/:jobId/charge-points', signedIn, chargePointRoutes(pool));
  api.use('/jobs/:jobId/events', signedIn, eventRoutes(pool));
  api.use('/jobs/:jobId/events/:eventId/attachments', signedIn, attachmentRoutes(pool));
  api.use('/jobs/:jobId/submissions', signedIn, submissionRoutes(pool, parts.operators ?? new Map()));
  api.use('/jobs/:jobId/calendar.ics', signedIn, jobCalendarRoutes(pool));
  api.use('/holidays', signedIn, holidayRoutes());
  api.use('/log-mappings', signedIn, logMappingRoutes(pool));
  api.use('/jobs/:jobId/record', signedIn, jobAuditRoutes(pool));
  api.use('/diary', signedIn, diaryRoutes(pool));
  api.use('/feed', feedRoutes(pool));
  api.use('/firm/record', signedIn, firmAuditRoutes(pool));
  api.use('/firm/rules', signedIn, ruleRoutes(pool, log));
  api.use('/firm', signedIn, firmRoutes(pool));
  api.use('/instruments', signedIn, instrumentRoutes(pool));
  api.use('/jobs', signedIn, jobRoutes(pool));
  api.use('/packs', signedIn, packRoutes(pool));
  api.use(noSuchAddress);
  app.use('/api', noStore, api);

  if (webDirectory !== undefined && existsSync(join(webDirectory, 'index.html'))) serveWeb(app, webDirectory);
  app.use(problemErrors(log));
  return app;
}

const noStore: RequestHandler = (_request, response, next) => {
  response.set('Cache-Control', 'no-store');
  next();
};

function mustBeUtf8(_request: IncomingMessage, _response: ServerResponse, body: Buffer): void {
  if (!isUtf8(body)) throw new Error('not UTF-8');
}

/** Only our own scripts and styles run; styles made while running carry the page's nonce. */
function securityHeaders(): RequestHandler {
  const nonceSource = (_request: IncomingMessage, response: ServerResponse): string => `'nonce-${nonceOf(response)}'`;
  return helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'none'"],
        scriptSrc: ["'self'"],
        styleSrc: ["'self'", nonceSource],
        styleSrcAttr: ["'unsafe-inline'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        workerSrc: ["'self'"],
        manifestSrc: ["'self'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
        baseUri: ["'none'"],
      },
    },
    // Plain HTTP on loopback is how it is tried out; the proxy in front of a real one adds HSTS.
    strictTransportSecurity: false,
  });
}

const nonces = new WeakMap<ServerResponse, string>();

function nonceOf(response: ServerResponse): string {
  const nonce = nonces.get(response) ?? randomBytes(16).toString('base64');
  nonces.set(response, nonce);
  return nonce;
}

function serveWeb(app: Express, directory: string): void {
  const page = readFileSync(join(directory, 'index.html'), 'utf8');
  app.use('/assets', express.static(join(directory, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  app.use(express.static(directory, { index: false }));
  app.get('/{*path}', (_request, response) => {
    response
      .set('Cache-Control', 'no-store')
      .type('html')
      .send(page.replace('__NONCE__', nonceOf(response)));
  });
}
