import { Refused } from '../server';

/** A quotation as the page gets it: the names are those of the firm’s own record. */
export interface Shown {
  readonly quote: {
    readonly number: string;
    readonly revision: number;
    readonly date: string;
    readonly validUntil: string;
    readonly firm: {
      readonly name: string;
      readonly address: string;
      readonly telephone: string;
      readonly email: string;
    };
    readonly to: { readonly name: string; readonly address: string };
    readonly about: string;
    readonly choices: readonly Choice[];
    readonly assumes: readonly string[];
    readonly wouldChange: readonly string[];
    readonly excluded: readonly string[];
    readonly disruption: readonly string[];
    readonly conditions: string;
    readonly pictures: readonly { readonly id: string; readonly caption: string }[];
  };
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

export interface Choice {
  readonly id: string;
  readonly title: string;
  readonly does: readonly string[];
  readonly lines: readonly { readonly text: string; readonly quantity: string; readonly pence: number }[];
  readonly netPence: number;
  readonly taxes: readonly { readonly name: string; readonly percent: number; readonly pence: number }[];
  readonly totalPence: number;
  readonly operatorWords: string;
  readonly help: readonly { readonly name: string; readonly pence: number; readonly missing: readonly string[] }[];
  readonly stages: readonly {
    readonly name: string;
    readonly when: string;
    readonly settings: readonly string[];
    readonly operator: string;
    readonly totalPence: number;
  }[];
}

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
