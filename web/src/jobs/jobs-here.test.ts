/** @jest-environment jsdom */
import 'fake-indexeddb/auto';
import type { Job } from '../api/jobs';
import { keepAnswer, keepFor } from '../offline/answers';
import { forgetCopies } from '../offline/person';
import { readQuery } from './job-query';
import { jobsKnownHere, lookThrough, surveysHere } from './jobs-here';
import { jobHere } from './start-job';

const job = (change: Partial<Job>): Job => ({
  ...jobHere({ id: 'a', place: '1 Test Lane', wanted: 'Charger', madeAt: 0 }),
  ...change,
});
const JOBS = [
  job({ id: 'a', number: 1, place: '1 Test Lane', changedAt: '2026-03-01', state: 'surveying', late: true }),
  job({
    id: 'b',
    number: 2,
    place: '9 Mill Drove',
    customer: 'H. Birkdale',
    changedAt: '2026-03-03',
    nextOn: '2026-03-05',
  }),
  job({ id: 'c', number: 12, place: '4 Abbey Row', changedAt: '2026-03-02', route: 'hold', nextOn: '2026-03-04' }),
  job({ id: 'd', number: 3, place: '5 Gone Street', changedAt: '2026-03-04', archived: true }),
];
const asked = (address: string): string[] =>
  lookThrough(JOBS, readQuery(new URLSearchParams(address))).jobs.map(({ id }) => id);

describe('looking through the jobs of this device', () => {
  it('gives the changed last first, and no archived one unless asked', () => {
    expect(asked('')).toEqual(['b', 'c', 'a']);
    expect(asked('archived=yes')).toEqual(['d']);
  });
  it('finds by every word of place, customer, work and number', () => {
    expect(asked('search=birkdale+mill')).toEqual(['b']);
    expect(asked('search=kg-0012')).toEqual(['c']);
    expect(asked('search=nowhere')).toEqual([]);
  });
  it('filters by stage, route, lateness and person, and counts every stage whichever is shown', () => {
    expect(asked('stage=surveying')).toEqual(['a']);
    expect(asked('route=hold')).toEqual(['c']);
    expect(asked('late=yes')).toEqual(['a']);
    expect(asked('person=nobody')).toEqual(['b', 'c', 'a']);
    expect(lookThrough(JOBS, readQuery(new URLSearchParams('stage=surveying'))).stages).toEqual({
      surveying: 1,
      'to-survey': 2,
    });
  });
  it('sorts by next date with those without one last, by place and by number', () => {
    expect(asked('order=next')).toEqual(['c', 'b', 'a']);
    expect(asked('order=place')).toEqual(['a', 'c', 'b']);
    expect(asked('order=number')).toEqual(['c', 'b', 'a']);
    expect(asked('order=stage')).toEqual(['b', 'c', 'a']);
    expect(asked('order=person').length).toBe(3);
    expect(asked('order=route')[0]).toBeDefined();
  });
});

describe('what this device knows of', () => {
  it('is every job of a list or by itself, as it was heard of last, and which surveys are here', async () => {
    await forgetCopies();
    keepFor('anna');
    const id = '6f9619ff-8b86-4d01-b42d-00cf4fc964ff';
    await keepAnswer('/jobs?late=yes', { jobs: [job({ id, place: 'As it was' })] }, 1);
    await keepAnswer(`/jobs/${id}`, job({ id, place: 'As it is' }), 2);
    await keepAnswer(`/jobs/${id}/survey`, {}, 3);
    await keepAnswer(`/jobs/${id}/events`, {}, 4);
    expect((await jobsKnownHere()).map(({ place }) => place)).toEqual(['As it is']);
    expect([...(await surveysHere())]).toEqual([[id, 3]]);
  });
});
