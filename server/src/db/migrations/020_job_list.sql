-- What the office asks of a job: who has it, which day is next, whether it is put away, whose it is.
-- Breaks nothing: a job is with whoever made it, and the days are reckoned by the application, of every job once from here.

ALTER TABLE jobs ADD COLUMN assigned_to uuid REFERENCES people;
UPDATE jobs SET assigned_to = created_by;
ALTER TABLE jobs ADD COLUMN archived_at timestamptz;
-- The clock that runs out first, whatever day it is today; and the visits that are booked.
ALTER TABLE jobs ADD COLUMN due_on date;
ALTER TABLE jobs ADD COLUMN due_what text;
ALTER TABLE jobs ADD COLUMN survey_on date;
ALTER TABLE jobs ADD COLUMN fitting_on date;
ALTER TABLE jobs ADD COLUMN customer text GENERATED ALWAYS AS (survey #>> '{place,customerName}') STORED;

GRANT UPDATE (assigned_to, archived_at, due_on, due_what, survey_on, fitting_on) ON jobs TO keen_gauge_app;

INSERT INTO tasks (firm_id, kind, about) SELECT id, 'resummarise', id::text FROM firms
  ON CONFLICT (firm_id, kind, about) DO NOTHING;
