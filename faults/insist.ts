import { setTimeout } from 'node:timers/promises';

/** What came back of a request that was sent until it was answered. */
export interface Answered {
  readonly status: number;
  readonly body: Record<string, unknown>;
  readonly cookie: string | undefined;
}

/** Counts over everything that was sent. */
export const tally = { sent: 0, unanswered: 0, unavailable: 0, failed: 0 };

const PATIENCE_MS = 15_000;
const AGAIN_MS = 300;

/**
 * Sends one request, the very same each time, to one instance after another until it is answered: what a browser does with a save. A server that says it cannot just now is
 * asked again when it says; one that says nothing, or that something is wrong, a moment later. Undefined once `over`.
 */
export async function insist(
  bases: readonly string[],
  path: string,
  { method = 'POST', cookie = '', body }: { method?: string; cookie?: string; body?: object },
  over: AbortSignal,
): Promise<Answered | undefined> {
  for (let tries = Math.floor(Math.random() * bases.length); !over.aborted; tries += 1) {
    tally.sent += 1;
    const answered = await once(`${bases[tries % bases.length] ?? ''}/api${path}`, method, cookie, body);
    if (answered === undefined) tally.unanswered += 1;
    else if (answered.status === 503) tally.unavailable += 1;
    else if (answered.status >= 500) tally.failed += 1;
    else return answered;
    await setTimeout(answered?.status === 503 ? 1000 : AGAIN_MS);
  }
  return undefined;
}

async function once(
  url: string,
  method: string,
  cookie: string,
  body: object | undefined,
): Promise<Answered | undefined> {
  try {
    const response = await fetch(url, {
      method,
      headers: { cookie, 'content-type': 'application/json' },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      signal: AbortSignal.timeout(PATIENCE_MS),
    });
    const text = await response.text();
    const session = response.headers.getSetCookie().find((each) => each.startsWith('keen.sid='));
    return {
      status: response.status,
      body: (text === '' ? {} : JSON.parse(text)) as Record<string, unknown>,
      cookie: session?.split(';')[0],
    };
  } catch {
    return undefined;
  }
}
