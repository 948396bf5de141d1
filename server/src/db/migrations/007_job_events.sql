-- What happened to a job besides its survey: sent, answered, visited, commissioned. Nobody changes or removes an entry; one
-- entered by mistake is withdrawn by another.

CREATE TABLE job_events (
  id uuid PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  job_id uuid NOT NULL REFERENCES jobs,
  seq bigint GENERATED ALWAYS AS IDENTITY,
  kind text NOT NULL,
  -- The day it happened or is meant for; the moment it was entered is made_at.
  day date NOT NULL,
  details jsonb NOT NULL DEFAULT '{}',
  person_id uuid NOT NULL REFERENCES people,
  made_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX job_events_job ON job_events (job_id, seq);

ALTER TABLE job_events ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON job_events USING (firm_id = current_firm());
GRANT SELECT, INSERT ON job_events TO keen_gauge_app;
