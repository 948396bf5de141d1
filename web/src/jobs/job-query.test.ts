import { JOB_ORDERS, JOB_STATES } from '@keen-gauge/core/calendar/job-list';
import { ROUTE_WAYS } from '@keen-gauge/core/route/ways';
import { fc } from '@keen-gauge/core/testing/laws';
import { filtersSet, readQuery, writeQuery, type JobQuery } from './job-query';

const maybe = <T>(values: readonly T[]): fc.Arbitrary<T | undefined> =>
  fc.option(fc.constantFrom(...values), { nil: undefined });
const query: fc.Arbitrary<JobQuery> = fc.record({
  search: fc.string(),
  stage: maybe(JOB_STATES),
  route: maybe(ROUTE_WAYS),
  person: maybe(['nobody', '5f0c6f3e-8f0a-4d7e-9d6e-0a4f3f1f2a11']),
  late: fc.boolean(),
  archived: fc.boolean(),
  order: fc.constantFrom(...JOB_ORDERS),
  byStage: fc.boolean(),
  page: fc.nat(200),
});

describe('the address of a list of jobs', () => {
  it('says all that was asked for, and asking for nothing has no address', () => {
    fc.assert(
      fc.property(query, (asked) => {
        expect(readQuery(new URLSearchParams(writeQuery(asked).toString()))).toEqual(asked);
      }),
    );
    expect(writeQuery(readQuery(new URLSearchParams())).toString()).toBe('');
  });

  it('that says what means nothing asks for nothing', () => {
    const asked = readQuery(new URLSearchParams('stage=gone&order=best&page=-3&route=up&late=1'));
    expect(asked).toMatchObject({ stage: undefined, route: undefined, order: 'changed', page: 0, late: false });
    expect(filtersSet(asked)).toBe(0);
    expect(filtersSet(readQuery(new URLSearchParams('stage=closed&late=yes&search=x')))).toBe(2);
  });
});
