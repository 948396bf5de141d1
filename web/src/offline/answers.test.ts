/** @jest-environment jsdom */
import 'fake-indexeddb/auto';
import { forgetBefore, keepAnswer, keepFor, keptAnswer, keptPaths } from './answers';
import { chooseJob, chosenJobs } from './chosen';
import { forgetCopies, KEPT_DAYS, keptDaysOf, rememberedPerson, rememberPerson } from './person';

const DAY_MS = 86_400_000;
const NOW = Date.parse('2026-03-02T09:00:00Z');
const ANNA = { id: 'anna', rules: { terms: {} } };

beforeEach(async () => {
  await forgetCopies();
  keepFor(null);
});

describe('what the server answered', () => {
  it('is kept and given to the person it was for, and to nobody else', async () => {
    await keepAnswer('/jobs', { jobs: [1] });
    expect(await keptAnswer('/jobs')).toBeUndefined();
    keepFor('anna');
    await keepAnswer('/jobs', { jobs: [2] }, NOW);
    expect(await keptAnswer('/jobs')).toMatchObject({ body: { jobs: [2] }, at: NOW });
    keepFor('bea');
    expect(await keptAnswer('/jobs')).toBeUndefined();
    expect(await keptPaths()).toEqual([]);
  });

  it('is given newest first, and goes with age', async () => {
    keepFor('anna');
    await keepAnswer('/old', 1, NOW - 3 * DAY_MS);
    await keepAnswer('/new', 2, NOW);
    expect((await keptPaths()).map(({ path }) => path)).toEqual(['/new', '/old']);
    await forgetBefore(NOW - DAY_MS);
    expect((await keptPaths()).map(({ path }) => path)).toEqual(['/new']);
  });
});

describe('who signed in last', () => {
  it('is known without the server, for as many days as the firm says', async () => {
    await rememberPerson(ANNA, NOW);
    expect(await rememberedPerson(NOW + (KEPT_DAYS - 1) * DAY_MS)).toEqual(ANNA);
    expect(await rememberedPerson(NOW + (KEPT_DAYS + 1) * DAY_MS)).toBeUndefined();
    // Past that day nothing of it is left, whatever the clock says next.
    expect(await rememberedPerson(NOW)).toBeUndefined();
    const brief = { id: 'anna', rules: { terms: { keptDays: 2 } } };
    expect(keptDaysOf(brief)).toBe(2);
    await rememberPerson(brief, NOW);
    expect(await rememberedPerson(NOW + 3 * DAY_MS)).toBeUndefined();
  });

  it('is known by a clock two hours wrong either way, and not by one set back by days', async () => {
    await rememberPerson(ANNA, NOW);
    expect(await rememberedPerson(NOW - 2 * 3_600_000)).toEqual(ANNA);
    expect(await rememberedPerson(NOW + 2 * 3_600_000)).toEqual(ANNA);
    expect(await rememberedPerson(NOW - 3 * DAY_MS)).toBeUndefined();
  });

  it('another who signs in finds nothing of hers', async () => {
    await rememberPerson(ANNA, NOW);
    await keepAnswer('/jobs', { jobs: ['hers'] });
    await chooseJob('anna', 'job-1', true);
    await rememberPerson({ id: 'bea' }, NOW);
    expect(await keptAnswer('/jobs')).toBeUndefined();
    keepFor('anna');
    expect(await keptPaths()).toEqual([]);
    expect(await chosenJobs('anna')).toEqual([]);
  });
});

describe('jobs chosen to be taken along', () => {
  it('are chosen and let go, each person’s own', async () => {
    await chooseJob('anna', 'job-1', true);
    await chooseJob('anna', 'job-2', true);
    await chooseJob('bea', 'job-3', true);
    await chooseJob('anna', 'job-1', false);
    expect(await chosenJobs('anna')).toEqual(['job-2']);
  });
});
