-- Who decided what, and when: sign-offs, what was sent and answered, overrides, what the firm sets for itself. Only added to.

CREATE TABLE audit_entries (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  -- Left out for what concerns the firm as a whole.
  job_id uuid REFERENCES jobs,
  person_id uuid NOT NULL REFERENCES people,
  made_at timestamptz NOT NULL DEFAULT now(),
  what text NOT NULL,
  details jsonb NOT NULL DEFAULT '{}'
);
CREATE INDEX audit_entries_job ON audit_entries (job_id, id);
CREATE INDEX audit_entries_firm ON audit_entries (firm_id, id);

ALTER TABLE audit_entries ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON audit_entries USING (firm_id = current_firm());
GRANT SELECT, INSERT ON audit_entries TO keen_gauge_app;
