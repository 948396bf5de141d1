/** @jest-environment jsdom */
import { act, render, screen } from '@testing-library/react';
import { useEffect, useState } from 'react';
import { Link, MemoryRouter, Route, Routes, useParams } from 'react-router';
import { SWRConfig } from 'swr';
import { useJob } from '../api/jobs';
import { readHeadOrCopy } from '../api/surveys';
import { SurveyRoute } from './SurveyRoute';

const asked: string[] = [];
jest.mock('../api/client', () => ({
  fetcher: (path: string) => {
    asked.push(path);
    return Promise.resolve({ revisionId: `of ${path}`, place: path });
  },
}));
jest.mock('./view-parts', () => ({ fetchView: () => undefined, viewAt: () => 'place' }));

// As the page does: the job while it is drawn, the survey once it stands.
function Opened() {
  const { jobId = '' } = useParams();
  const { data: job } = useJob(jobId);
  const [revision, setRevision] = useState('');
  useEffect(() => {
    void readHeadOrCopy(jobId).then((head) => {
      setRevision(head.revisionId);
    });
  }, [jobId]);
  return <h1>{`${job?.place ?? ''} ${revision}`}</h1>;
}
jest.mock('./SurveyPage', () => ({ default: () => <Opened />, __esModule: true }));

it('asks for a job and its survey once each, also where the page has come before', async () => {
  render(
    <SWRConfig value={{ provider: () => new Map() }}>
      <MemoryRouter initialEntries={['/jobs/1']}>
        <Link to="/jobs/2">Another</Link>
        <Link to="/">List</Link>
        <Routes>
          <Route path="/" element={<h1>Jobs</h1>} />
          <Route path="/jobs/:jobId" element={<SurveyRoute />} />
        </Routes>
      </MemoryRouter>
    </SWRConfig>,
  );
  await screen.findByRole('heading', { name: '/jobs/1 of /jobs/1/survey' });
  expect(asked.splice(0).sort()).toEqual(['/jobs/1', '/jobs/1/survey']);
  for (const [link, heading, expected] of [
    ['Another', '/jobs/2 of /jobs/2/survey', ['/jobs/2', '/jobs/2/survey']],
    ['List', 'Jobs', []],
  ] as const) {
    act(() => {
      screen.getByRole('link', { name: link }).click();
    });
    await screen.findByRole('heading', { name: heading });
    expect(asked.splice(0).sort()).toEqual(expected);
  }
});
