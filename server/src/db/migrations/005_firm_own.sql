-- What a firm sets for itself: kinds of charging equipment it fits, and what options cost and how long they take.

CREATE TABLE equipment_profiles (
  id uuid PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  profile jsonb NOT NULL,
  changed_by uuid NOT NULL REFERENCES people,
  changed_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX equipment_profiles_firm ON equipment_profiles (firm_id);

CREATE TABLE firm_terms (
  firm_id uuid PRIMARY KEY REFERENCES firms,
  terms jsonb NOT NULL,
  changed_by uuid NOT NULL REFERENCES people,
  changed_at timestamptz NOT NULL DEFAULT now()
);

ALTER TABLE equipment_profiles ENABLE ROW LEVEL SECURITY;
ALTER TABLE firm_terms ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON equipment_profiles USING (firm_id = current_firm());
CREATE POLICY own_firm ON firm_terms USING (firm_id = current_firm());
GRANT SELECT, INSERT, UPDATE ON equipment_profiles, firm_terms TO keen_gauge_app;
