-- Photographs with the bytes they were made from on their way, the firm's instruments.

-- Surveys of before had neither readings nor photographs.
UPDATE jobs SET survey = '{"readings": [], "photos": []}'::jsonb || survey;

-- A file on its way in. Its id becomes the photograph's, so that a file sent twice is one photograph.
CREATE TABLE uploads (
  id uuid PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  job_id uuid NOT NULL REFERENCES jobs,
  person_id uuid NOT NULL REFERENCES people,
  size integer NOT NULL CHECK (size BETWEEN 1 AND 26214400),
  received integer NOT NULL DEFAULT 0 CHECK (received <= size),
  started_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX uploads_started ON uploads (started_at);

CREATE TABLE upload_parts (
  upload_id uuid NOT NULL REFERENCES uploads ON DELETE CASCADE,
  firm_id uuid NOT NULL REFERENCES firms,
  start integer NOT NULL,
  bytes bytea NOT NULL,
  PRIMARY KEY (upload_id, start)
);

-- Pictures, under a key, as an object store would keep them. Already compressed: not compressed again.
CREATE TABLE pictures (
  firm_id uuid NOT NULL REFERENCES firms,
  key text NOT NULL,
  bytes bytea NOT NULL,
  PRIMARY KEY (firm_id, key)
);
ALTER TABLE pictures ALTER bytes SET STORAGE EXTERNAL;
ALTER TABLE upload_parts ALTER bytes SET STORAGE EXTERNAL;

CREATE TABLE photos (
  id uuid PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  job_id uuid NOT NULL REFERENCES jobs,
  -- Of the file as it was handed in, to know the same one when it comes again.
  sha256 text NOT NULL,
  width integer NOT NULL,
  height integer NOT NULL,
  taken_at timestamptz,
  added_by uuid NOT NULL REFERENCES people,
  added_at timestamptz NOT NULL DEFAULT now(),
  UNIQUE (job_id, sha256)
);

CREATE TABLE instruments (
  id uuid PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  name text NOT NULL,
  serial text NOT NULL DEFAULT '',
  calibration_due date,
  retired boolean NOT NULL DEFAULT false
);
CREATE INDEX instruments_firm ON instruments (firm_id);

ALTER TABLE uploads ENABLE ROW LEVEL SECURITY;
ALTER TABLE upload_parts ENABLE ROW LEVEL SECURITY;
ALTER TABLE pictures ENABLE ROW LEVEL SECURITY;
ALTER TABLE photos ENABLE ROW LEVEL SECURITY;
ALTER TABLE instruments ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON uploads USING (firm_id = current_firm());
CREATE POLICY own_firm ON upload_parts USING (firm_id = current_firm());
CREATE POLICY own_firm ON pictures USING (firm_id = current_firm());
CREATE POLICY own_firm ON photos USING (firm_id = current_firm());
CREATE POLICY own_firm ON instruments USING (firm_id = current_firm());

GRANT SELECT, INSERT, DELETE ON uploads, upload_parts TO keen_gauge_app;
GRANT UPDATE (received) ON uploads TO keen_gauge_app;
GRANT SELECT, INSERT ON pictures, photos TO keen_gauge_app;
GRANT SELECT, INSERT ON instruments TO keen_gauge_app;
GRANT UPDATE (name, serial, calibration_due, retired) ON instruments TO keen_gauge_app;
