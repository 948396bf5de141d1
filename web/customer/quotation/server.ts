import type { Quote, QuoteChoice } from '@keen-gauge/core/quote/quote';
import { Refused } from '../server';

/** A quotation as the page gets it: the names are those of the firm’s own record. Types only, so that nothing of the core is loaded. */
export interface Shown {
  readonly quote: Quote;
  readonly fingerprint: string;
  readonly state: 'sent' | 'accepted' | 'declined' | 'replaced';
  readonly isExpired: boolean;
  readonly hasNewer: boolean;
  readonly answers: readonly {
    readonly kind: 'accepted' | 'declined' | 'question';
    readonly choice: string | null;
    readonly name: string;
    readonly words: string | null;
    readonly cameAt: string;
  }[];
}

export type Choice = QuoteChoice;

const PATIENCE_MS = 30_000;

export const openQuotation = (token: string): Promise<Shown> => post<Shown>('/open', { token });
export const accept = (
  token: string,
  answer: { readonly id: string; readonly name: string; readonly choice: string; readonly fingerprint: string },
): Promise<Shown> => post<Shown>('/accept', { token, ...answer });
export const decline = (
  token: string,
  answer: { readonly id: string; readonly name: string; readonly words?: string },
): Promise<Shown> => post<Shown>('/decline', { token, ...answer });
export const ask = (
  token: string,
  answer: { readonly id: string; readonly name: string; readonly words: string },
): Promise<Shown> => post<Shown>('/question', { token, ...answer });

export const fetchDocument = (token: string): Promise<Blob> => fetched('/quotation.pdf', { token });
export const fetchPicture = (token: string, id: string): Promise<Blob> => fetched('/picture', { token, id });

async function post<T>(path: string, body: object): Promise<T> {
  const response = await sent(path, body);
  return (await response.json()) as T;
}

async function fetched(path: string, body: object): Promise<Blob> {
  const response = await sent(path, body);
  return response.blob();
}

/** Rejects with `Refused` where the server says no, with anything else where nothing came. */
async function sent(path: string, body: object): Promise<Response> {
  const stop = new AbortController();
  const timer = setTimeout(() => {
    stop.abort();
  }, PATIENCE_MS);
  try {
    const response = await fetch(`/api/quotation${path}`, {
      method: 'POST',
      body: JSON.stringify(body),
      headers: { 'content-type': 'application/json' },
      signal: stop.signal,
    });
    if (response.ok) return response;
    if (response.status >= 500 || response.status === 429) throw new Error(String(response.status));
    const { detail } = (await response.json()) as { detail?: string };
    throw new Refused(response.status, detail || 'That could not be sent.');
  } finally {
    clearTimeout(timer);
  }
}
