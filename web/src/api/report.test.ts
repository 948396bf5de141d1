import { patternOf } from './report';

it('tells a page by its pattern, and nothing that stands in its places', () => {
  expect(patternOf('/jobs/3f6c0b52-1d0e-4c4e-9d4e-0a5a5a0a9b11/loads')).toBe('/jobs/:id/loads');
  expect(patternOf('/sign-in')).toBe('/sign-in');
  expect(patternOf('/jobs/The Old Rectory')).toBe('/jobs/:id');
  expect(patternOf('/')).toBe('/');
});
