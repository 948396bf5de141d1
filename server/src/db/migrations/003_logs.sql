-- Logs of measured current, as handed in; and how a firm read files of the same shape before.

UPDATE jobs SET survey = '{"measurements": []}'::jsonb || survey;

CREATE TABLE logs (
  id uuid PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  job_id uuid NOT NULL REFERENCES jobs,
  file_name text NOT NULL,
  -- Compressed by the sender (gzip).
  bytes bytea NOT NULL,
  added_by uuid NOT NULL REFERENCES people,
  added_at timestamptz NOT NULL DEFAULT now()
);
ALTER TABLE logs ALTER bytes SET STORAGE EXTERNAL;
CREATE INDEX logs_job ON logs (job_id);

CREATE TABLE log_mappings (
  firm_id uuid NOT NULL REFERENCES firms,
  -- The file's first rows, digested: files of one logger have one shape.
  shape text NOT NULL,
  mapping jsonb NOT NULL,
  changed_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (firm_id, shape)
);

ALTER TABLE logs ENABLE ROW LEVEL SECURITY;
ALTER TABLE log_mappings ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON logs USING (firm_id = current_firm());
CREATE POLICY own_firm ON log_mappings USING (firm_id = current_firm());

GRANT SELECT, INSERT ON logs TO keen_gauge_app;
GRANT SELECT, INSERT, UPDATE ON log_mappings TO keen_gauge_app;
