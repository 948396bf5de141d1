import { isUnavailable } from './unavailable';

const coded = (code: string, message = 'x'): Error => Object.assign(new Error(message), { code });

it.each(['57P01', '57P03', '57014', '08006', '53100', '53300', '40001', '40P01', 'ECONNREFUSED', 'ECONNRESET'])(
  '%s is a database that may be asked again',
  (code) => {
    expect(isUnavailable(coded(code))).toBe(true);
    expect(isUnavailable(new Error('around it', { cause: coded(code) }))).toBe(true);
    expect(isUnavailable(new AggregateError([new Error('x'), coded(code)]))).toBe(true);
  },
);

it.each(['Connection terminated unexpectedly', 'timeout exceeded when trying to connect', 'Query read timeout'])(
  '“%s” is one too',
  (message) => {
    expect(isUnavailable(new Error(message))).toBe(true);
  },
);

it.each([coded('23505'), coded('42501'), coded('22021'), coded('ENOENT'), new Error('x'), 'text', null, undefined])(
  '%s is not',
  (error) => {
    expect(isUnavailable(error)).toBe(false);
  },
);
