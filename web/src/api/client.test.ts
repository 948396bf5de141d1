import { call, NoAnswer, ServerProblem } from './client';

/** A server that answers as told, and what it was asked. */
function serverOf(...answers: (number | 'lost')[]): { keys: (string | null)[] } {
  const keys: (string | null)[] = [];
  globalThis.fetch = ((_url: string, request: RequestInit) => {
    keys.push(new Headers(request.headers).get('idempotency-key'));
    const answer = answers.shift() ?? 201;
    if (answer === 'lost') return Promise.reject(new TypeError('no link'));
    const body = answer < 300 ? { done: true } : { title: 'x', detail: 'y', requestId: 'ab12cd34-56' };
    return Promise.resolve({ ok: answer < 300, status: answer, json: () => Promise.resolve(body) } as Response);
  }) as typeof fetch;
  return { keys };
}

const before = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = before;
});

describe('a write', () => {
  it('pressed again after its answer was lost goes under the name it had; once answered, the next has its own', async () => {
    const { keys } = serverOf('lost', 500, 201, 201);
    await expect(call('POST', '/firm/terms', { a: 1 })).rejects.toBeInstanceOf(NoAnswer);
    await expect(call('POST', '/firm/terms', { a: 1 })).rejects.toBeInstanceOf(ServerProblem);
    await call('POST', '/firm/terms', { a: 1 });
    await call('POST', '/firm/terms', { a: 1 });
    expect(keys[0]).toMatch(/^[0-9a-f-]{36}$/);
    expect(keys[1]).toBe(keys[0]);
    expect(keys[2]).toBe(keys[0]);
    expect(keys[3]).not.toBe(keys[0]);
  });

  it('that is another, or was refused, has a name of its own', async () => {
    const { keys } = serverOf('lost', 201, 422, 201);
    await expect(call('POST', '/firm/terms', { a: 2 })).rejects.toThrow();
    await call('POST', '/firm/terms', { a: 3 });
    await expect(call('POST', '/firm/terms', { a: 4 })).rejects.toThrow();
    await call('POST', '/firm/terms', { a: 4 });
    expect(new Set(keys).size).toBe(4);
  });

  it('that failed at the server says under what it is logged', async () => {
    serverOf(500);
    const failed = await call('POST', '/jobs', {}).catch((error: unknown) => error);
    expect((failed as ServerProblem).requestId).toBe('ab12cd34');
  });

  it('is named, and reading is not', async () => {
    const { keys } = serverOf(200, 204);
    await call('GET', '/jobs');
    await call('DELETE', '/session');
    expect(keys).toEqual([null, null]);
  });
});
