-- What the operator answered a job last, beside its state: a refusal has to stand in the list of jobs and not only in its own history.
-- Breaks nothing: filled in with the next entry of a job, and from what has been entered already.

ALTER TABLE jobs ADD COLUMN answer text
  CHECK (answer IN ('accepted', 'accepted-if', 'asks-for-more', 'un-loop-first', 'refused'));

UPDATE jobs SET answer = latest.answer
  FROM (SELECT DISTINCT ON (e.job_id) e.job_id, e.kind, e.details ->> 'answer' AS answer
          FROM job_events e
         WHERE e.kind IN ('answered', 'sent')
           AND NOT EXISTS (SELECT 1 FROM job_events w
                            WHERE w.job_id = e.job_id AND w.kind = 'withdrawn' AND w.details ->> 'withdraws' = e.id::text)
         ORDER BY e.job_id, e.seq DESC) latest
 WHERE latest.job_id = jobs.id AND latest.kind = 'answered';

GRANT UPDATE (answer) ON jobs TO keen_gauge_app;
