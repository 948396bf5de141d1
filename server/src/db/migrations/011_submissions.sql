-- Packs handed in to operators over their own link, in the background: what waits, what came of it, and every word of the conversation.

CREATE TABLE submissions (
  -- Also the key by which the operator knows the same submission told again.
  id uuid PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  job_id uuid NOT NULL REFERENCES jobs,
  -- A pack is handed in once.
  pack_id uuid NOT NULL UNIQUE REFERENCES packs,
  -- Of the meter point; where that area's packs go is for whoever runs the server to say, and may change.
  area text NOT NULL,
  state text NOT NULL DEFAULT 'waiting' CHECK (state IN ('waiting', 'handed-in', 'answered', 'returned', 'stopped')),
  -- Counted when it is taken up: what an instance began and never ended has been tried.
  attempts integer NOT NULL DEFAULT 0,
  next_at timestamptz NOT NULL DEFAULT now(),
  -- While one instance works on it no other does; an instance that dies lets go by the time passing.
  claimed_until timestamptz,
  reference text,
  asked_by uuid NOT NULL REFERENCES people,
  asked_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX submissions_job ON submissions (job_id, asked_at);
CREATE INDEX submissions_due ON submissions (next_at) WHERE state IN ('waiting', 'handed-in');

CREATE TABLE submission_messages (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  submission_id uuid NOT NULL REFERENCES submissions,
  at timestamptz NOT NULL DEFAULT now(),
  direction text NOT NULL CHECK (direction IN ('out', 'in', 'trouble')),
  says text NOT NULL,
  -- The operator's own id of an answer: told twice, it is entered once.
  remote_id text,
  UNIQUE (submission_id, remote_id)
);
CREATE INDEX submission_messages_of ON submission_messages (submission_id, id);

ALTER TABLE submissions ENABLE ROW LEVEL SECURITY;
ALTER TABLE submission_messages ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON submissions USING (firm_id = current_firm());
CREATE POLICY own_firm ON submission_messages USING (firm_id = current_firm());
GRANT SELECT, INSERT, UPDATE (state, attempts, next_at, claimed_until, reference) ON submissions TO keen_gauge_app;
GRANT SELECT, INSERT ON submission_messages TO keen_gauge_app;

-- The outbox looks across firms for the next submission due and takes it for a while: this, and nothing else of it. Two instances asking at
-- once take two different ones.
CREATE FUNCTION claim_submission(seconds integer) RETURNS TABLE (id uuid, firm_id uuid, asked_by uuid)
LANGUAGE sql SECURITY DEFINER SET search_path = public AS
$$ UPDATE submissions s SET claimed_until = now() + make_interval(secs => seconds), attempts = s.attempts + 1
    WHERE s.id = (SELECT d.id FROM submissions d
                   WHERE d.state IN ('waiting', 'handed-in') AND d.next_at <= now()
                     AND (d.claimed_until IS NULL OR d.claimed_until < now())
                   ORDER BY d.next_at LIMIT 1 FOR UPDATE SKIP LOCKED)
   RETURNING s.id, s.firm_id, s.asked_by $$;
REVOKE ALL ON FUNCTION claim_submission(integer) FROM PUBLIC;
GRANT EXECUTE ON FUNCTION claim_submission(integer) TO keen_gauge_app;

-- How far a job has come once it is signed off.
ALTER TABLE jobs DROP CONSTRAINT jobs_state_check;
ALTER TABLE jobs ADD CONSTRAINT jobs_state_check
  CHECK (state IN ('to-survey', 'surveying', 'signed-off', 'with-operator', 'answered', 'fitted', 'closed'));

-- What an operator sent by other ways: a letter, an e-mail, a picture of it, kept with the entry it belongs to.
CREATE TABLE event_attachments (
  id uuid PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  event_id uuid NOT NULL REFERENCES job_events,
  name text NOT NULL,
  type text NOT NULL,
  bytes bytea NOT NULL,
  added_by uuid NOT NULL REFERENCES people,
  added_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX event_attachments_event ON event_attachments (event_id);
ALTER TABLE event_attachments ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON event_attachments USING (firm_id = current_firm());
GRANT SELECT, INSERT ON event_attachments TO keen_gauge_app;
