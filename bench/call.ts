import { Agent, request } from 'node:http';

/** Requests to the server under measurement, over connections that stay open. */
export const agent = new Agent({ keepAlive: true, maxSockets: 64 });

export function call(
  base: string,
  method: string,
  path: string,
  cookie: string,
  body?: object,
): Promise<{ status: number; cookie: string; body: unknown }> {
  return new Promise((resolve, reject) => {
    const sent = request(
      `${base}/api${path}`,
      { method, agent, headers: { cookie, 'content-type': 'application/json' } },
      (response) => {
        const parts: Buffer[] = [];
        response.on('data', (part: Buffer) => parts.push(part));
        response.on('end', () => {
          const text = Buffer.concat(parts).toString('utf8');
          resolve({
            status: response.statusCode ?? 0,
            cookie: response.headers['set-cookie']?.[0]?.split(';')[0] ?? cookie,
            body: text === '' ? null : JSON.parse(text),
          });
        });
      },
    );
    sent.on('error', reject);
    sent.end(body === undefined ? undefined : JSON.stringify(body));
  });
}
