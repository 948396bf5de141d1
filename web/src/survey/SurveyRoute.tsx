import { useEffect, useLayoutEffect } from 'react';
import { useParams } from 'react-router';
import { askAhead } from '../api/ahead';
import { useJob } from '../api/jobs';
import { lazyPart } from '../kit/lazy-part';
import { fetchView, viewAt } from './view-parts';

const SurveyPage = lazyPart(() => import('./SurveyPage'));

/** A survey that is gone to. Its page brings the core with it: the view and what it shows are asked for at the same time, and not when that has come. */
export function SurveyRoute() {
  const { jobId = '', station } = useParams();
  const view = viewAt(station);
  useJob(jobId);
  useEffect(() => {
    fetchView(view);
  }, [view]);
  // Before the page opens the survey where that has come already: it takes this answer, and nothing is asked twice or left over.
  useLayoutEffect(() => {
    askAhead(`/jobs/${jobId}/survey`);
  }, [jobId]);
  return <SurveyPage />;
}
