import express, { type Express, type RequestHandler } from 'express';
import compressedFiles from 'express-static-gzip';
import helmet from 'helmet';
import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { join } from 'node:path';
import type { ServeStaticOptions } from 'serve-static';
import { takenOnAt } from '../signals/request-line';
import { notFound } from './problem';

/** Only our own scripts and styles run; styles made while running carry the page's nonce. */
export function securityHeaders(): RequestHandler {
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

/** The files of a directory, each as it was compressed when it was built where whoever asks can take it like that. */
function filesOf(directory: string, serveStatic: ServeStaticOptions = {}): RequestHandler {
  return compressedFiles(directory, { enableBrotli: true, orderPreference: ['br'], serveStatic });
}

/** The web application: its files, and its page at every address that is not one of them. */
export function serveWeb(app: Express, directory: string): void {
  const page = readFileSync(join(directory, 'index.html'), 'utf8');
  app.use('/assets', takenOnAt('asset'), filesOf(join(directory, 'assets'), { immutable: true, maxAge: '1y' }), () => {
    // A part of a version that is no longer served: the page that asked for it offers to load the new one.
    throw notFound('file');
  });
  // What reads numbers off photographs compiles what it runs, in a worker of its own; no page does.
  app.get('/ocr/worker.min.js', (_request, response, next) => {
    response.set(
      'Content-Security-Policy',
      "default-src 'none'; script-src 'self' 'wasm-unsafe-eval'; connect-src 'self'",
    );
    next();
  });
  // The customer’s page, which is not the application’s: small, and for somebody without an account.
  app.use('/c', takenOnAt('customer'), filesOf(join(directory, 'c')));
  app.use(takenOnAt('page'), express.static(directory, { index: false }));
  app.get('/{*path}', (_request, response) => {
    response
      .set('Cache-Control', 'no-store')
      .type('html')
      .send(page.replace('__NONCE__', nonceOf(response)));
  });
}
