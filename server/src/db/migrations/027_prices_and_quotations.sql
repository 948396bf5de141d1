-- What a firm charges, the schemes of money help it keeps, and quotations: numbered, fixed when they are made, answered by a customer under a link.

CREATE TABLE firm_prices (
  firm_id uuid PRIMARY KEY REFERENCES firms,
  book jsonb NOT NULL,
  version integer NOT NULL DEFAULT 1,
  changed_by uuid NOT NULL REFERENCES people,
  changed_at timestamptz NOT NULL DEFAULT now()
);
ALTER TABLE firm_prices ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON firm_prices USING (firm_id = current_firm());
GRANT SELECT, INSERT, UPDATE (book, version, changed_by, changed_at) ON firm_prices TO keen_gauge_app;

CREATE TABLE firm_schemes (
  firm_id uuid PRIMARY KEY REFERENCES firms,
  schemes jsonb NOT NULL,
  changed_by uuid NOT NULL REFERENCES people,
  changed_at timestamptz NOT NULL DEFAULT now()
);
ALTER TABLE firm_schemes ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON firm_schemes USING (firm_id = current_firm());
GRANT SELECT, INSERT, UPDATE (schemes, changed_by, changed_at) ON firm_schemes TO keen_gauge_app;

ALTER TABLE firms ADD next_quotation_number integer NOT NULL DEFAULT 1;
GRANT UPDATE (next_quotation_number) ON firms TO keen_gauge_app;

CREATE TABLE quotations (
  id uuid PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  job_id uuid NOT NULL REFERENCES jobs,
  number integer NOT NULL,
  revision integer NOT NULL CHECK (revision >= 1),
  -- The text to the letter, and its SHA-256: what is accepted is this and nothing else.
  quote text NOT NULL,
  fingerprint text NOT NULL CHECK (fingerprint ~ '^[0-9a-f]{64}$'),
  -- What the firm keeps beside it: hours, costs and materials. The customer never sees it.
  basis jsonb NOT NULL,
  survey_seq integer NOT NULL,
  valid_until date NOT NULL,
  state text NOT NULL DEFAULT 'made' CHECK (state IN ('made', 'sent', 'accepted', 'declined', 'withdrawn', 'replaced')),
  made_by uuid NOT NULL REFERENCES people,
  made_at timestamptz NOT NULL DEFAULT now(),
  UNIQUE (firm_id, number, revision)
);
CREATE INDEX quotations_job ON quotations (job_id, number DESC, revision DESC);
ALTER TABLE quotations ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON quotations USING (firm_id = current_firm());
GRANT SELECT, INSERT, UPDATE (state) ON quotations TO keen_gauge_app;

-- What somebody accepted or declined stays so.
CREATE FUNCTION quotation_stays_answered() RETURNS trigger LANGUAGE plpgsql AS
$$ BEGIN
  IF OLD.state IN ('accepted', 'declined') THEN
    RAISE EXCEPTION 'an answered quotation stays as it is' USING ERRCODE = 'integrity_constraint_violation';
  END IF;
  RETURN NEW;
END $$;
CREATE TRIGGER quotation_stays_answered BEFORE UPDATE ON quotations
  FOR EACH ROW WHEN (current_user = 'keen_gauge_app') EXECUTE FUNCTION quotation_stays_answered();

-- Its document, once it was made; it comes out the same however often it is.
CREATE TABLE quotation_files (
  quotation_id uuid PRIMARY KEY REFERENCES quotations,
  firm_id uuid NOT NULL REFERENCES firms,
  pdf bytea NOT NULL
);
ALTER TABLE quotation_files ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON quotation_files USING (firm_id = current_firm());
GRANT SELECT, INSERT ON quotation_files TO keen_gauge_app;

-- What stands in a link, as its digest; each mail has one of its own.
CREATE TABLE quotation_tokens (
  digest bytea PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  quotation_id uuid NOT NULL REFERENCES quotations,
  made_at timestamptz NOT NULL DEFAULT now()
);
ALTER TABLE quotation_tokens ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON quotation_tokens USING (firm_id = current_firm());
GRANT SELECT, INSERT ON quotation_tokens TO keen_gauge_app;

-- A customer is of no firm: this look-up crosses firms, by the digest of what only the link says.
CREATE FUNCTION firm_of_quotation(wanted bytea) RETURNS TABLE (quotation_id uuid, firm_id uuid)
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
$$ SELECT q.id, q.firm_id FROM quotation_tokens t JOIN quotations q ON q.id = t.quotation_id
    WHERE t.digest = wanted AND q.state <> 'withdrawn' AND q.made_at > now() - interval '400 days' $$;
REVOKE ALL ON FUNCTION firm_of_quotation(bytea) FROM PUBLIC;
GRANT EXECUTE ON FUNCTION firm_of_quotation(bytea) TO keen_gauge_app;

-- What the customer answered: with the name that was typed, the time, and which text. Added to, never changed.
CREATE TABLE quotation_answers (
  id uuid PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  quotation_id uuid NOT NULL REFERENCES quotations,
  kind text NOT NULL CHECK (kind IN ('accepted', 'declined', 'question')),
  choice text CHECK (length(choice) <= 60),
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 100),
  words text CHECK (length(words) <= 2000),
  fingerprint text NOT NULL,
  came_at timestamptz NOT NULL DEFAULT now(),
  CHECK ((kind = 'accepted') = (choice IS NOT NULL))
);
CREATE INDEX quotation_answers_of ON quotation_answers (quotation_id, came_at);
CREATE UNIQUE INDEX quotation_answered_once ON quotation_answers (quotation_id) WHERE kind IN ('accepted', 'declined');
ALTER TABLE quotation_answers ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON quotation_answers USING (firm_id = current_firm());
GRANT SELECT, INSERT ON quotation_answers TO keen_gauge_app;

ALTER TABLE mails ADD quotation_id uuid REFERENCES quotations;

-- Everything of a customer can be erased: what stood in a quotation too.
CREATE FUNCTION erase_quotations(erased_job uuid) RETURNS void LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS
$$ DECLARE firm uuid := current_firm();
BEGIN
  IF NOT EXISTS (SELECT 1 FROM erasures WHERE job_id = erased_job AND firm_id = firm)
  THEN RAISE EXCEPTION 'no erasure was asked for' USING ERRCODE = 'integrity_constraint_violation'; END IF;
  DELETE FROM mails WHERE quotation_id IN (SELECT id FROM quotations WHERE job_id = erased_job AND firm_id = firm);
  DELETE FROM quotation_answers WHERE quotation_id IN (SELECT id FROM quotations WHERE job_id = erased_job AND firm_id = firm);
  DELETE FROM quotation_tokens WHERE quotation_id IN (SELECT id FROM quotations WHERE job_id = erased_job AND firm_id = firm);
  DELETE FROM quotation_files WHERE quotation_id IN (SELECT id FROM quotations WHERE job_id = erased_job AND firm_id = firm);
  DELETE FROM quotations WHERE job_id = erased_job AND firm_id = firm;
END $$;
REVOKE ALL ON FUNCTION erase_quotations(uuid) FROM PUBLIC;
GRANT EXECUTE ON FUNCTION erase_quotations(uuid) TO keen_gauge_app;
