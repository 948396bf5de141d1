-- Firms, their people, jobs, surveys as append-only revisions, packs. Every row a firm owns carries firm_id, and the
-- application's role sees only rows of the firm named in the transaction-local setting app.firm_id.

CREATE FUNCTION current_firm() RETURNS uuid LANGUAGE sql STABLE AS
$$ SELECT nullif(current_setting('app.firm_id', true), '')::uuid $$;

CREATE TABLE firms (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  name text NOT NULL,
  rule_pack_id text NOT NULL DEFAULT 'gb-default',
  next_job_number integer NOT NULL DEFAULT 1,
  next_pack_number integer NOT NULL DEFAULT 1
);

CREATE TABLE people (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  firm_id uuid NOT NULL REFERENCES firms,
  email text NOT NULL CHECK (email = lower(email)),
  name text NOT NULL,
  role text NOT NULL CHECK (role IN ('surveyor', 'office', 'supervisor')),
  may_sign_off boolean NOT NULL DEFAULT false,
  registration text NOT NULL DEFAULT '',
  password_hash text NOT NULL
);
CREATE UNIQUE INDEX people_email ON people (email);
CREATE INDEX people_firm ON people (firm_id);

CREATE TABLE jobs (
  id uuid PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  number integer NOT NULL,
  state text NOT NULL DEFAULT 'to-survey' CHECK (state IN ('to-survey', 'surveying', 'signed-off')),
  place text NOT NULL,
  wanted text NOT NULL,
  created_by uuid NOT NULL REFERENCES people,
  created_at timestamptz NOT NULL DEFAULT now(),
  -- The head of the survey: its document, its newest revision, and what the assessment of it says in short.
  survey jsonb NOT NULL,
  revision_id uuid NOT NULL,
  revision_seq integer NOT NULL DEFAULT 0,
  route text NOT NULL,
  next_question text,
  changed_at timestamptz NOT NULL DEFAULT now(),
  UNIQUE (firm_id, number)
);
CREATE INDEX jobs_changed ON jobs (firm_id, changed_at DESC);

-- What each save changed. The first revision of a job has seq 0, no changes, and the blank survey as its document.
CREATE TABLE revisions (
  id uuid PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  job_id uuid NOT NULL REFERENCES jobs,
  seq integer NOT NULL,
  parent_id uuid,
  person_id uuid NOT NULL REFERENCES people,
  made_at timestamptz NOT NULL DEFAULT now(),
  changes jsonb NOT NULL,
  UNIQUE (job_id, seq)
);

CREATE TABLE packs (
  id uuid PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  job_id uuid NOT NULL REFERENCES jobs,
  number integer NOT NULL,
  revision_id uuid NOT NULL REFERENCES revisions,
  revision_seq integer NOT NULL,
  route text NOT NULL,
  title text NOT NULL,
  -- The very text that is downloaded and fingerprinted.
  survey text NOT NULL,
  assessment jsonb NOT NULL,
  content jsonb NOT NULL,
  pdf bytea NOT NULL,
  fingerprint text NOT NULL,
  signed_by uuid NOT NULL REFERENCES people,
  signed_at timestamptz NOT NULL,
  reason text,
  UNIQUE (firm_id, number)
);
CREATE INDEX packs_job ON packs (job_id, number DESC);

ALTER TABLE firms ENABLE ROW LEVEL SECURITY;
ALTER TABLE people ENABLE ROW LEVEL SECURITY;
ALTER TABLE jobs ENABLE ROW LEVEL SECURITY;
ALTER TABLE revisions ENABLE ROW LEVEL SECURITY;
ALTER TABLE packs ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON firms USING (id = current_firm());
CREATE POLICY own_firm ON people USING (firm_id = current_firm());
CREATE POLICY own_firm ON jobs USING (firm_id = current_firm());
CREATE POLICY own_firm ON revisions USING (firm_id = current_firm());
CREATE POLICY own_firm ON packs USING (firm_id = current_firm());

-- Signing in has to find a person before the firm is known: this one look-up, and nothing else, crosses firms.
CREATE FUNCTION person_for_sign_in(wanted_email text)
RETURNS TABLE (id uuid, firm_id uuid, password_hash text)
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
$$ SELECT p.id, p.firm_id, p.password_hash FROM people p WHERE p.email = lower(wanted_email) $$;

-- Sessions (connect-pg-simple) and sign-in counts (rate-limiter-flexible), in the shape those packages expect.
CREATE TABLE session (
  sid varchar NOT NULL PRIMARY KEY,
  sess json NOT NULL,
  expire timestamp(6) NOT NULL
);
CREATE INDEX session_expire ON session (expire);

CREATE TABLE sign_in_counts (
  key varchar(255) PRIMARY KEY,
  points integer NOT NULL DEFAULT 0,
  expire bigint
);

-- Secrets every instance must share.
CREATE TABLE server_secrets (
  name text PRIMARY KEY,
  value text NOT NULL
);
INSERT INTO server_secrets VALUES ('session', encode(sha256((gen_random_uuid()::text || gen_random_uuid()::text)::bytea), 'hex'));

REVOKE ALL ON FUNCTION person_for_sign_in(text) FROM PUBLIC;
GRANT EXECUTE ON FUNCTION person_for_sign_in(text) TO keen_gauge_app;
GRANT SELECT, UPDATE (next_job_number, next_pack_number) ON firms TO keen_gauge_app;
GRANT SELECT ON people TO keen_gauge_app;
GRANT SELECT, INSERT ON jobs TO keen_gauge_app;
GRANT UPDATE (state, place, wanted, survey, revision_id, revision_seq, route, next_question, changed_at) ON jobs TO keen_gauge_app;
GRANT SELECT, INSERT ON revisions, packs TO keen_gauge_app;
GRANT SELECT, INSERT, UPDATE, DELETE ON session, sign_in_counts TO keen_gauge_app;
GRANT SELECT ON server_secrets TO keen_gauge_app;
