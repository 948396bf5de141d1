-- The survey that the customer makes: a link to one job, what was asked, what came. Nothing of it is in the survey until a surveyor has looked at it.

CREATE TABLE customer_links (
  id uuid PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  job_id uuid NOT NULL REFERENCES jobs,
  -- The steps as they were sent, in the words of that day.
  steps jsonb NOT NULL,
  made_by uuid NOT NULL REFERENCES people,
  made_at timestamptz NOT NULL DEFAULT now(),
  expires_at timestamptz NOT NULL,
  revoked_at timestamptz,
  opened_at timestamptz,
  done_at timestamptz
);
CREATE INDEX customer_links_job ON customer_links (job_id, made_at DESC);
ALTER TABLE customer_links ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON customer_links USING (firm_id = current_firm());
GRANT SELECT, INSERT, UPDATE (revoked_at, opened_at, done_at) ON customer_links TO keen_gauge_app;

-- What stands in a link, as its digest: each mail has one of its own, and all open the same.
CREATE TABLE customer_tokens (
  digest bytea PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  link_id uuid NOT NULL REFERENCES customer_links,
  made_at timestamptz NOT NULL DEFAULT now()
);
ALTER TABLE customer_tokens ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON customer_tokens USING (firm_id = current_firm());
GRANT SELECT, INSERT ON customer_tokens TO keen_gauge_app;

-- A customer is of no firm: this look-up crosses firms, by the digest of what only the link says.
CREATE FUNCTION firm_of_customer(wanted bytea) RETURNS TABLE (link_id uuid, firm_id uuid)
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
$$ SELECT l.id, l.firm_id FROM customer_tokens t JOIN customer_links l ON l.id = t.link_id
    WHERE t.digest = wanted AND l.revoked_at IS NULL AND l.expires_at > now() $$;
REVOKE ALL ON FUNCTION firm_of_customer(bytea) FROM PUBLIC;
GRANT EXECUTE ON FUNCTION firm_of_customer(bytea) TO keen_gauge_app;

-- One answer to one step; asked again, the next one is of a later round.
CREATE TABLE customer_answers (
  id uuid PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  link_id uuid NOT NULL REFERENCES customer_links,
  step text NOT NULL CHECK (length(step) <= 60),
  round integer NOT NULL,
  says jsonb NOT NULL,
  came_at timestamptz NOT NULL DEFAULT now(),
  state text NOT NULL DEFAULT 'came' CHECK (state IN ('came', 'taken', 'again', 'set-aside')),
  reason text CHECK (length(reason) <= 500),
  decided_by uuid REFERENCES people,
  decided_at timestamptz,
  UNIQUE (link_id, step, round)
);
ALTER TABLE customer_answers ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON customer_answers USING (firm_id = current_firm());
GRANT SELECT, INSERT, UPDATE (id, says, came_at, state, reason, decided_by, decided_at) ON customer_answers TO keen_gauge_app;

-- Pictures of strangers, decoded and encoded anew before they came here; they go once they are decided about.
CREATE TABLE customer_pictures (
  id uuid PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  link_id uuid NOT NULL REFERENCES customer_links,
  step text NOT NULL CHECK (length(step) <= 60),
  round integer NOT NULL,
  full_jpg bytea NOT NULL,
  thumb_jpg bytea NOT NULL,
  came_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX customer_pictures_link ON customer_pictures (link_id, step, round);
ALTER TABLE customer_pictures ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON customer_pictures USING (firm_id = current_firm());
GRANT SELECT, INSERT, DELETE ON customer_pictures TO keen_gauge_app;

ALTER TABLE mails ADD customer_link_id uuid REFERENCES customer_links;
