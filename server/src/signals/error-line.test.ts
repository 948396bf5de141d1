import { errorLine } from './error-line';

describe('an error in the log', () => {
  it('has its type, message, code, frames and causes', () => {
    const cause = Object.assign(new TypeError('cannot read'), {
      code: '23505',
      table: 'jobs',
      constraint: 'jobs_pkey',
    });
    const line = errorLine(new Error('around it', { cause }));
    expect(line).toMatchObject({
      type: 'Error',
      message: 'around it',
      cause: { type: 'TypeError', message: 'cannot read', code: '23505', table: 'jobs', constraint: 'jobs_pkey' },
    });
    expect(line.stack).toContain('error-line.test');
  });

  it('quotes nothing of what was sent: not a database’s detail, not a parser’s excerpt, not in the stack', () => {
    const typed = 'The Old Rectory';
    let parsing: unknown;
    try {
      JSON.parse(`{"notes": "${typed}" broken}`);
    } catch (error) {
      parsing = error;
    }
    const refused = Object.assign(new Error(`invalid input syntax for type json: "${typed}"`), {
      detail: `Failing row contains (${typed}).`,
      where: `JSON data, line 1: ${typed}`,
    });
    for (const error of [parsing, refused, new Error('x', { cause: refused })])
      expect(JSON.stringify(errorLine(error))).not.toContain('Rectory');
    expect(JSON.stringify(errorLine(parsing))).toContain('SyntaxError');
  });

  it('copes with what is no error, and with causes that go round', () => {
    expect(errorLine('The Old Rectory')).toEqual({ type: 'string', message: 'not an error' });
    const round = new Error('round');
    round.cause = round;
    expect(JSON.stringify(errorLine(round)).length).toBeLessThan(20_000);
  });
});
