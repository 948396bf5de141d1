import compression from 'compression';
import express from 'express';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import request from 'supertest';
import { openLog } from '../signals/log';
import { problemErrors } from './errors';
import { securityHeaders, serveWeb } from './web-pages';

const SCRIPT = `console.log(${JSON.stringify('as it was built '.repeat(100))});`;

const directory = mkdtempSync(join(tmpdir(), 'web-'));
for (const room of ['assets', 'c/assets']) {
  mkdirSync(join(directory, room), { recursive: true });
  writeFileSync(join(directory, room, 'part-1.js'), SCRIPT);
  writeFileSync(join(directory, room, 'part-1.js.br'), brotliCompressSync(SCRIPT));
}
writeFileSync(join(directory, 'assets', 'plain-1.js'), SCRIPT);
writeFileSync(join(directory, 'index.html'), '<script nonce="__NONCE__"></script>');
writeFileSync(join(directory, 'c', 'index.html'), 'for a customer');
afterAll(() => {
  rmSync(directory, { recursive: true });
});

const app = express();
app.use(securityHeaders());
app.use(compression());
serveWeb(app, directory);
app.use(problemErrors(openLog('silent')));

const ask = (path: string, encoding: string) => request(app).get(path).set('accept-encoding', encoding);

describe('the files of the application', () => {
  it.each(['/assets/part-1.js', '/c/assets/part-1.js'])(
    '%s is sent as it was compressed when it was built',
    async (path) => {
      const answer = await ask(path, 'gzip, deflate, br').expect(200);
      expect(answer.headers).toMatchObject({
        'content-encoding': 'br',
        'content-length': String(brotliCompressSync(SCRIPT).length),
        'content-type': expect.stringMatching(/^text\/javascript/) as string,
        vary: expect.stringContaining('Accept-Encoding') as string,
      });
    },
  );

  it('are compressed while they are sent where that is all that can be taken', async () => {
    const answer = await ask('/assets/part-1.js', 'gzip').expect(200);
    expect(answer.headers).toMatchObject({ 'content-encoding': 'gzip' });
    expect(answer.text).toBe(SCRIPT);
  });

  it('are sent as they are where nothing can be taken apart, or nothing was compressed', async () => {
    const answer = await ask('/assets/part-1.js', 'identity').expect(200);
    expect(answer.headers['content-encoding']).toBeUndefined();
    expect(answer.text).toBe(SCRIPT);
    expect((await ask('/assets/plain-1.js', 'identity').expect(200)).text).toBe(SCRIPT);
  });

  it('stay where they are for a year, since another version of one has another name', async () => {
    const answer = await ask('/assets/part-1.js', 'br').expect(200);
    expect(answer.headers['cache-control']).toBe('public, max-age=31536000, immutable');
    expect((await ask('/c/assets/part-1.js', 'br')).headers['cache-control']).toBe('public, max-age=0');
  });

  it('of a version that is gone are not found, whatever stands at other addresses', async () => {
    await ask('/assets/part-0.js', 'br').expect(404);
    const page = await ask('/jobs/anything', 'identity').expect(200);
    expect(page.text).toMatch(/^<script nonce="[\w+/=]{20,}"><\/script>$/);
    expect((await ask('/c/', 'identity').expect(200)).text).toBe('for a customer');
  });

  it('are those of their directory, and none beside it', async () => {
    await ask('/assets/../index.html', 'br').expect(404);
    await ask('/assets/..%2f..%2fetc/passwd', 'br').expect(404);
  });
});
