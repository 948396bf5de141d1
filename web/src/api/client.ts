/** Speaking to the server: JSON out, JSON back, every failure as one of two errors. */

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
  method: 'GET' | 'POST' | 'DELETE',
  path: string,
  body?: unknown,
  patienceMs = PATIENCE_MS,
): Promise<T> {
  return send<T>(path, patienceMs, {
    method,
    ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
  });
}

const FILE_PATIENCE_MS = 120_000;

/** Sends a file as it is, under its type. */
export function sendFile<T>(path: string, file: Blob, type: string): Promise<T> {
  return send<T>(path, FILE_PATIENCE_MS, { method: 'POST', headers: { 'content-type': type }, body: file });
}

async function send<T>(path: string, patienceMs: number, request: RequestInit): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, { ...request, signal: AbortSignal.timeout(patienceMs) });
  } catch {
    throw new NoAnswer();
  }
  if (response.status === 204) return undefined as T;
  const answer = (await response.json().catch(() => undefined)) as unknown;
  if (response.ok && answer !== undefined) return answer as T;
  if (typeof answer !== 'object' || answer === null || !('title' in answer)) throw new NoAnswer();
  const { title, detail } = answer as { title: string; detail?: string };
  throw new ServerProblem(response.status, title, detail ?? '', answer);
}

/** For SWR: the path is the key. */
export const fetcher = <T>(path: string): Promise<T> => call<T>('GET', path);
