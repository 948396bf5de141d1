/** A question asked of the server in a test. */
export interface Asked {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
}

/** A refusal, as the server sends one. */
export class Refusal {
  constructor(
    readonly status: number,
    readonly body: { readonly title: string; readonly detail: string; readonly faults?: readonly object[] },
  ) {}
}

/** Stands in for the server in component tests: answers each question, and keeps what was asked. */
export function fakeServer(answer: (asked: Asked) => unknown): readonly Asked[] {
  const asked: Asked[] = [];
  globalThis.fetch = (input, init) => {
    const one: Asked = {
      method: init?.method ?? 'GET',
      path: (input as string).replace(/^.*\/api/, ''),
      body: typeof init?.body === 'string' ? (JSON.parse(init.body) as unknown) : undefined,
    };
    asked.push(one);
    const said = answer(one);
    const [status, body] = said instanceof Refusal ? [said.status, said.body] : [said === undefined ? 204 : 200, said];
    return Promise.resolve({
      ok: status < 400,
      status,
      headers: new Map() as unknown as Headers,
      json: () => Promise.resolve(body),
    } as Response);
  };
  return asked;
}
