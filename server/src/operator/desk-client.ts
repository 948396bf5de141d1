import { CONDITIONS, type Condition } from '@keen-gauge/core/calendar/job-events';
import { ANSWERS_OF_OPERATOR, type AnswerOfOperator } from '@keen-gauge/core/calendar/operator-answers';
import { isDay } from '@keen-gauge/core/calendar/days';

/** Speaking to an operator’s desk; see docs/formats/operator.md. Nothing it says is believed before it is checked. */

/** What came of handing a pack in. `trouble` is worth trying again; `returned` is not. */
export type HandedIn =
  | { readonly kind: 'taken'; readonly reference: string; readonly pollAfterS: number }
  | { readonly kind: 'returned'; readonly why: string }
  | Trouble;

/** It did not work this time; the desk may have said how long to wait. */
export interface Trouble {
  readonly kind: 'trouble';
  readonly why: string;
  readonly waitS?: number;
}

export interface DeskAnswer {
  readonly id: string;
  readonly answer: AnswerOfOperator;
  readonly on?: string;
  readonly condition?: Condition;
  readonly limitA?: number;
  readonly note?: string;
}

export type Asked =
  { readonly kind: 'told'; readonly answers: readonly DeskAnswer[]; readonly pollAfterS: number } | Trouble;

const PATIENCE_MS = 12_000;

/** How long a desk is waited for while so many bytes go to it: over a slow line a pack of photographs takes minutes. */
export function patienceMs(bytes: number): number {
  return Math.min(600_000, PATIENCE_MS + Math.ceil(bytes / 100));
}

export async function handIn(address: string, key: string, bundle: Buffer): Promise<HandedIn> {
  const came = await call(new URL('submissions', base(address)), {
    method: 'POST',
    headers: { 'content-type': 'application/zip', 'idempotency-key': key },
    body: new Uint8Array(bundle),
    signal: AbortSignal.timeout(patienceMs(bundle.length)),
  });
  if (came.kind === 'trouble') return came;
  const { status, body } = came;
  if (status === 200 || status === 201) {
    const reference = text(body['reference'], 100);
    return reference === undefined
      ? { kind: 'trouble', why: 'It answered without a reference.' }
      : { kind: 'taken', reference, pollAfterS: pollAfter(body) };
  }
  return { kind: 'returned', why: text(body['detail'], 500) ?? text(body['title'], 500) ?? `It answered ${status}.` };
}

export async function askAfter(address: string, reference: string): Promise<Asked> {
  const came = await call(new URL(`submissions/${encodeURIComponent(reference)}`, base(address)), {
    method: 'GET',
    signal: AbortSignal.timeout(PATIENCE_MS),
  });
  if (came.kind === 'trouble') return came;
  if (came.status !== 200)
    return {
      kind: 'trouble',
      why: came.status === 404 ? 'It does not know the reference any more.' : `It answered ${came.status}.`,
    };
  const { answers } = came.body;
  return {
    kind: 'told',
    answers: Array.isArray(answers) ? answers.flatMap((each) => answerOf(each) ?? []) : [],
    pollAfterS: pollAfter(came.body),
  };
}

type Came =
  { readonly kind: 'came'; readonly status: number; readonly body: Readonly<Record<string, unknown>> } | Trouble;

async function call(url: URL, request: RequestInit): Promise<Came> {
  let response: Response;
  try {
    response = await fetch(url, { ...request, redirect: 'error' });
  } catch (error) {
    const slow = error instanceof Error && error.name === 'TimeoutError';
    return { kind: 'trouble', why: slow ? 'It did not answer in time.' : 'It cannot be reached.' };
  }
  if (response.status >= 500 || response.status === 408 || response.status === 429) {
    const waitS = Number(response.headers.get('retry-after') ?? NaN);
    return {
      kind: 'trouble',
      why: `It is out of order (${response.status}).`,
      ...(waitS > 0 && waitS <= 86_400 ? { waitS } : {}),
    };
  }
  const body: unknown = await response.json().catch(() => null);
  if (typeof body !== 'object' || body === null) return { kind: 'trouble', why: 'It answered something unreadable.' };
  return { kind: 'came', status: response.status, body: body as Record<string, unknown> };
}

function answerOf(value: unknown): DeskAnswer | undefined {
  const each = (typeof value === 'object' && value !== null ? value : {}) as Record<string, unknown>;
  const id = text(each['id'], 100);
  const answer = ANSWERS_OF_OPERATOR.find((known) => known === each['answer']);
  if (id === undefined || !answer) return undefined;
  const { limitA, on } = each;
  const condition = CONDITIONS.find((known) => known === each['condition']);
  const note = text(each['note'], 500);
  return {
    id,
    answer,
    ...(typeof on === 'string' && isDay(on) ? { on } : {}),
    ...(condition ? { condition } : {}),
    ...(typeof limitA === 'number' && limitA >= 0 && limitA <= 3000 ? { limitA } : {}),
    ...(note === undefined ? {} : { note }),
  };
}

function pollAfter(body: Readonly<Record<string, unknown>>): number {
  const seconds = Number(body['pollAfterSeconds'] ?? 900);
  return Number.isFinite(seconds) ? Math.min(86_400, Math.max(1, seconds)) : 900;
}

function text(value: unknown, longest: number): string | undefined {
  return typeof value === 'string' && value !== '' ? value.replaceAll('\u0000', '').slice(0, longest) : undefined;
}

function base(address: string): string {
  return address.endsWith('/') ? address : `${address}/`;
}
