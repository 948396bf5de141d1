import type { Asked, Says } from './asked';

/** The server answered and will not have it: `says` why, in words for the customer. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly says: string,
  ) {
    super(says);
  }
}

const PATIENCE_MS = 30_000;
/** A picture on a bad line takes its time. */
const PICTURE_PATIENCE_MS = 180_000;

export const openSurvey = (token: string): Promise<Asked> => post('/open', { token });

export const sendAnswer = (
  token: string,
  answer: Says & { readonly id: string; readonly step: string; readonly pictures: readonly string[] },
): Promise<unknown> => post('/answer', { token, ...answer });

export const sendDone = (token: string): Promise<unknown> => post('/done', { token });

export const sendPicture = (
  token: string,
  step: string,
  picture: { readonly id: string; readonly type: string; readonly bytes: ArrayBuffer },
): Promise<unknown> =>
  send(`/pictures/${picture.id}?step=${encodeURIComponent(step)}`, picture.bytes, PICTURE_PATIENCE_MS, {
    'content-type': picture.type,
    'x-customer-link': token,
  });

function post<T>(path: string, body: object): Promise<T> {
  return send<T>(path, JSON.stringify(body), PATIENCE_MS, { 'content-type': 'application/json' });
}

/** Rejects with `Refused` where the server says no, with anything else where nothing came: that is tried again. */
async function send<T>(
  path: string,
  body: string | ArrayBuffer,
  patienceMs: number,
  headers: Record<string, string>,
): Promise<T> {
  const stop = new AbortController();
  const timer = setTimeout(() => {
    stop.abort();
  }, patienceMs);
  try {
    const response = await fetch(`/api/customer${path}`, { method: 'POST', body, headers, signal: stop.signal });
    if (response.status === 204) return undefined as unknown as T;
    const answer = (await response.json()) as { detail?: string };
    if (response.ok) return answer as unknown as T;
    // Busy or out of order for a while: tried again.
    if (response.status >= 500 || response.status === 429) throw new Error(String(response.status));
    throw new Refused(response.status, answer.detail || 'That could not be sent.');
  } finally {
    clearTimeout(timer);
  }
}
