-- How much each firm keeps besides its surveys, counted as it comes in.

CREATE TABLE firm_storage (
  firm_id uuid PRIMARY KEY REFERENCES firms,
  bytes bigint NOT NULL DEFAULT 0
);
ALTER TABLE firm_storage ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON firm_storage USING (firm_id = current_firm());
GRANT SELECT ON firm_storage TO keen_gauge_app;

CREATE FUNCTION count_storage() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS
$$ BEGIN
  INSERT INTO firm_storage (firm_id, bytes) VALUES (NEW.firm_id, octet_length(NEW.bytes))
    ON CONFLICT (firm_id) DO UPDATE SET bytes = firm_storage.bytes + octet_length(NEW.bytes);
  RETURN NULL;
END $$;
REVOKE ALL ON FUNCTION count_storage() FROM PUBLIC;
CREATE TRIGGER count_storage AFTER INSERT ON pictures FOR EACH ROW EXECUTE FUNCTION count_storage();
CREATE TRIGGER count_storage AFTER INSERT ON logs FOR EACH ROW EXECUTE FUNCTION count_storage();
CREATE TRIGGER count_storage AFTER INSERT ON event_attachments FOR EACH ROW EXECUTE FUNCTION count_storage();

INSERT INTO firm_storage (firm_id, bytes)
  SELECT firm_id, sum(size) FROM (
    SELECT firm_id, octet_length(bytes)::bigint AS size FROM pictures
    UNION ALL SELECT firm_id, octet_length(bytes) FROM logs
    UNION ALL SELECT firm_id, octet_length(bytes) FROM event_attachments) kept
  GROUP BY firm_id;

-- What the application’s role may change of a row, by column: nothing that it never changes.
REVOKE UPDATE ON equipment_profiles, firm_terms, house_rules, firm_checklists, log_mappings FROM keen_gauge_app;
GRANT UPDATE (profile, changed_by, changed_at) ON equipment_profiles TO keen_gauge_app;
GRANT UPDATE (terms, changed_by, changed_at) ON firm_terms TO keen_gauge_app;
GRANT UPDATE (rules, changed_by, changed_at) ON house_rules TO keen_gauge_app;
GRANT UPDATE (checklists, changed_by, changed_at) ON firm_checklists TO keen_gauge_app;
GRANT UPDATE (mapping, changed_at) ON log_mappings TO keen_gauge_app;
REVOKE UPDATE (wanted) ON jobs FROM keen_gauge_app;

-- Writes that have been answered, so that one sent again after its answer was lost is answered the same and done once. Kept for two days.
CREATE TABLE answered_requests (
  firm_id uuid NOT NULL REFERENCES firms,
  id uuid NOT NULL,
  -- Of what was sent: another thing under the same id is refused.
  digest bytea NOT NULL,
  answer jsonb,
  made_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (firm_id, id)
);
CREATE INDEX answered_requests_made ON answered_requests (made_at);
ALTER TABLE answered_requests ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON answered_requests USING (firm_id = current_firm());
GRANT SELECT, INSERT, DELETE, UPDATE (answer) ON answered_requests TO keen_gauge_app;
