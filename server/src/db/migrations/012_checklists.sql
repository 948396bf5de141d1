-- What a firm sees to after a job, in its own words: labels, handover, evidence for funding.

CREATE TABLE firm_checklists (
  firm_id uuid PRIMARY KEY REFERENCES firms,
  checklists jsonb NOT NULL,
  changed_by uuid NOT NULL REFERENCES people,
  changed_at timestamptz NOT NULL DEFAULT now()
);
ALTER TABLE firm_checklists ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON firm_checklists USING (firm_id = current_firm());
GRANT SELECT, INSERT, UPDATE ON firm_checklists TO keen_gauge_app;
