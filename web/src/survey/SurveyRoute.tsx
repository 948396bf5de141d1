import { useEffect } from 'react';
import { useParams } from 'react-router';
import { preload } from 'swr';
import { askAhead } from '../api/ahead';
import { fetcher } from '../api/client';
import { lazyPart } from '../kit/lazy-part';
import { fetchView, viewAt } from './view-parts';

const SurveyPage = lazyPart(() => import('./SurveyPage'));

/** A survey that is gone to. Its page brings the core with it: the view and what it shows are asked for at the same time, and not when that has come. */
export function SurveyRoute() {
  const { jobId = '', station } = useParams();
  const view = viewAt(station);
  useEffect(() => {
    fetchView(view);
  }, [view]);
  useEffect(() => {
    preload(`/jobs/${jobId}`, fetcher).catch(() => undefined);
    askAhead(`/jobs/${jobId}/survey`);
  }, [jobId]);
  return <SurveyPage />;
}
