/** Speaking to the server: JSON out, JSON back, every failure as one of two errors. */

import { keepAnswer, keptAnswer } from '../offline/answers';
import { answeredAfter, connectionNow, nothingCame } from '../offline/connection';

export interface FieldFault {
  readonly path: string;
  readonly wrong: string;
  readonly expected: string;
}

/** The server answered with a problem. */
export class ServerProblem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail: string,
    readonly members: Readonly<Record<string, unknown>>,
  ) {
    super(`${title}. ${detail}`);
  }

  /** Under what it is logged at the server; empty where nothing is wrong there. */
  get requestId(): string {
    const { requestId } = this.members;
    return typeof requestId === 'string' ? requestId.slice(0, 8) : '';
  }

  get faults(): readonly FieldFault[] {
    const { faults } = this.members;
    return Array.isArray(faults) ? (faults as FieldFault[]) : [];
  }
}

/** The server could not be reached, or nothing sensible came back. */
export class NoAnswer extends Error {
  constructor() {
    super('The server cannot be reached.');
  }
}

const PATIENCE_MS = 20_000;

/** Sends a request to the API; the parsed answer, or one of the two errors above. */
export function call<T>(
  method: 'GET' | 'POST' | 'PATCH' | 'DELETE',
  path: string,
  body?: unknown,
  patienceMs = PATIENCE_MS,
): Promise<T> {
  const text = body === undefined ? undefined : JSON.stringify(body);
  const request: RequestInit = {
    method,
    ...(text === undefined ? {} : { body: text }),
    // What is small is sent to its end even where the page goes meanwhile.
    keepalive: method === 'POST' && (text?.length ?? 0) < KEPT_ALIVE,
  };
  if (method !== 'POST')
    return send<T>(path, patienceMs, {
      ...request,
      ...(text === undefined ? {} : { headers: { 'content-type': 'application/json' } }),
    });
  return named(`${path} ${text ?? ''}`, (key) =>
    send<T>(path, patienceMs, {
      ...request,
      headers: { 'idempotency-key': key, ...(text === undefined ? {} : { 'content-type': 'application/json' }) },
    }),
  );
}

/** Browsers keep no more alive than 64 kB in all. */
const KEPT_ALIVE = 30_000;

/** Writes that were sent and not answered, by what they were: the same thing pressed again goes under the name it had, and is done once. */
const unanswered = new Map<string, string>();

/** Makes a write under an id of its own: a new one, or the one it had where it was sent before and not answered. */
export async function named<T>(what: string, write: (id: string) => Promise<T>): Promise<T> {
  const key = unanswered.get(what) ?? crypto.randomUUID();
  unanswered.set(what, key);
  try {
    const answer = await write(key);
    unanswered.delete(what);
    return answer;
  } catch (error) {
    // Refused, it was not done; without an answer, or with trouble at the server, it may have been.
    if (error instanceof ServerProblem && error.status < 500) unanswered.delete(what);
    throw error;
  }
}

const FILE_PATIENCE_MS = 120_000;

/** Sends a file as it is, under its type. */
export function sendFile<T>(path: string, file: Blob, type: string): Promise<T> {
  return named(`${path} ${file.size}`, (key) =>
    send<T>(path, FILE_PATIENCE_MS, {
      method: 'POST',
      headers: { 'content-type': type, 'idempotency-key': key },
      body: file,
    }),
  );
}

async function send<T>(path: string, patienceMs: number, request: RequestInit): Promise<T> {
  let response: Response;
  const asked = performance.now();
  try {
    response = await fetch(`/api${path}`, { ...request, signal: AbortSignal.timeout(patienceMs) });
  } catch {
    nothingCame();
    throw new NoAnswer();
  }
  // A large file takes its time on the best of lines.
  answeredAfter(request.method === 'GET' ? performance.now() - asked : 0);
  if (response.status === 204) return undefined as T;
  const answer = (await response.json().catch(() => undefined)) as unknown;
  if (response.ok && answer !== undefined) return answer as T;
  if (typeof answer !== 'object' || answer === null || !('title' in answer)) throw new NoAnswer();
  const { title, detail } = answer as { title: string; detail?: string };
  throw new ServerProblem(response.status, title, detail ?? '', answer);
}

/** So long is waited for the server where there is a copy to show meanwhile; less where it did not answer last time. */
const COPY_PATIENCE_MS = 6000;
const WITHOUT_PATIENCE_MS = 2500;

/** What the server says at an address; where it says nothing, what it said last, as this device keeps it. For SWR: the path is the key. */
export async function fetcher<T>(path: string): Promise<T> {
  const kept = await keptAnswer(path);
  const patience = connectionNow() === 'without' ? WITHOUT_PATIENCE_MS : COPY_PATIENCE_MS;
  try {
    const answer = await call<T>('GET', path, undefined, kept ? patience : PATIENCE_MS);
    void keepAnswer(path, answer);
    return answer;
  } catch (error) {
    if (kept && error instanceof NoAnswer) return kept.body as T;
    throw error;
  }
}
