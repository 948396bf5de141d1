-- A firm's own rules: house rules as a whole, and rule packs of its own, of which every version ever saved stays.

CREATE TABLE house_rules (
  firm_id uuid PRIMARY KEY REFERENCES firms,
  rules jsonb NOT NULL,
  changed_by uuid NOT NULL REFERENCES people,
  changed_at timestamptz NOT NULL DEFAULT now()
);

CREATE TABLE operator_packs (
  id uuid NOT NULL,
  version integer NOT NULL,
  firm_id uuid NOT NULL REFERENCES firms,
  pack jsonb NOT NULL,
  made_by uuid NOT NULL REFERENCES people,
  made_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (id, version)
);
CREATE INDEX operator_packs_firm ON operator_packs (firm_id, id, version DESC);

ALTER TABLE house_rules ENABLE ROW LEVEL SECURITY;
ALTER TABLE operator_packs ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON house_rules USING (firm_id = current_firm());
CREATE POLICY own_firm ON operator_packs USING (firm_id = current_firm());
GRANT SELECT, INSERT, UPDATE ON house_rules TO keen_gauge_app;
GRANT SELECT, INSERT ON operator_packs TO keen_gauge_app;
