-- A firm's diary as an address calendars subscribe to. The address is a secret: whoever has it reads the diary, until it is revoked.

CREATE TABLE calendar_feeds (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  firm_id uuid NOT NULL REFERENCES firms,
  -- SHA-256 of 256 random bits: nothing of the address can be guessed from its digest.
  key_hash bytea NOT NULL UNIQUE,
  made_by uuid NOT NULL REFERENCES people,
  made_at timestamptz NOT NULL DEFAULT now(),
  revoked_at timestamptz
);
CREATE INDEX calendar_feeds_firm ON calendar_feeds (firm_id);

ALTER TABLE calendar_feeds ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON calendar_feeds USING (firm_id = current_firm());
GRANT SELECT, INSERT, UPDATE (revoked_at) ON calendar_feeds TO keen_gauge_app;

-- A calendar shows its key before its firm is known: this look-up, like the one for signing in, crosses firms.
CREATE FUNCTION firm_of_calendar_feed(wanted bytea) RETURNS uuid
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
$$ SELECT f.firm_id FROM calendar_feeds f WHERE f.key_hash = wanted AND f.revoked_at IS NULL $$;
REVOKE ALL ON FUNCTION firm_of_calendar_feed(bytea) FROM PUBLIC;
GRANT EXECUTE ON FUNCTION firm_of_calendar_feed(bytea) TO keen_gauge_app;

-- The diary reads what happened to every job of a firm at once.
CREATE INDEX job_events_firm ON job_events (firm_id, job_id, seq);
