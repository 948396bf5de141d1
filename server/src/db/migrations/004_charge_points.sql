-- Charge points linked to a job while its limiter is commissioned: what they told last, and what is asked of them.

CREATE TABLE charge_points (
  id uuid PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  job_id uuid NOT NULL REFERENCES jobs,
  proposal_id text NOT NULL,
  -- The name it shows; unguessable, and unique among all firms.
  name text NOT NULL UNIQUE,
  -- SHA-256 of a key of 128 random bits: nothing of it can be guessed from its digest.
  key_hash bytea NOT NULL,
  made_by uuid NOT NULL REFERENCES people,
  made_at timestamptz NOT NULL DEFAULT now(),
  ended_at timestamptz,
  -- Which connection is the one in use: a newer one takes over from an older, on whatever instance.
  connection uuid,
  status jsonb
);
CREATE UNIQUE INDEX charge_points_in_use ON charge_points (job_id, proposal_id) WHERE ended_at IS NULL;

CREATE TABLE charge_point_samples (
  point_id uuid NOT NULL REFERENCES charge_points,
  firm_id uuid NOT NULL REFERENCES firms,
  arrived_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  sample jsonb NOT NULL
);
CREATE INDEX charge_point_samples_newest ON charge_point_samples (point_id, arrived_at DESC);

CREATE TABLE charge_point_calls (
  id uuid PRIMARY KEY,
  point_id uuid NOT NULL REFERENCES charge_points,
  firm_id uuid NOT NULL REFERENCES firms,
  action text NOT NULL,
  payload jsonb NOT NULL,
  asked_by uuid NOT NULL REFERENCES people,
  asked_at timestamptz NOT NULL DEFAULT now(),
  sent_at timestamptz,
  answered_at timestamptz,
  answer jsonb
);
CREATE INDEX charge_point_calls_open ON charge_point_calls (point_id, asked_at) WHERE sent_at IS NULL;

ALTER TABLE charge_points ENABLE ROW LEVEL SECURITY;
ALTER TABLE charge_point_samples ENABLE ROW LEVEL SECURITY;
ALTER TABLE charge_point_calls ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON charge_points USING (firm_id = current_firm());
CREATE POLICY own_firm ON charge_point_samples USING (firm_id = current_firm());
CREATE POLICY own_firm ON charge_point_calls USING (firm_id = current_firm());

-- A charge point shows its name before its firm is known: this look-up, like the one for signing in, crosses firms.
CREATE FUNCTION charge_point_by_name(wanted text)
RETURNS TABLE (id uuid, firm_id uuid, key_hash bytea)
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
$$ SELECT c.id, c.firm_id, c.key_hash FROM charge_points c WHERE c.name = wanted AND c.ended_at IS NULL $$;
REVOKE ALL ON FUNCTION charge_point_by_name(text) FROM PUBLIC;
GRANT EXECUTE ON FUNCTION charge_point_by_name(text) TO keen_gauge_app;

GRANT SELECT, INSERT, UPDATE (ended_at, connection, status) ON charge_points TO keen_gauge_app;
GRANT SELECT, INSERT, DELETE ON charge_point_samples TO keen_gauge_app;
GRANT SELECT, INSERT, UPDATE (sent_at, answered_at, answer) ON charge_point_calls TO keen_gauge_app;
