-- Firms are made, people invited and let go, and mail sent, without anybody writing SQL.

GRANT INSERT (id, firm_id, email, name, role, may_sign_off, registration, password_hash) ON people TO keen_gauge_app;
GRANT UPDATE (name, role, may_sign_off, registration, password_hash, ended_at) ON people TO keen_gauge_app;

-- A firm keeps a supervisor: two who let go of it at one moment wait for one another here, and the second is refused.
CREATE FUNCTION keeps_a_supervisor() RETURNS trigger LANGUAGE plpgsql AS
$$ BEGIN
  IF OLD.role = 'supervisor' AND OLD.ended_at IS NULL AND (NEW.role <> 'supervisor' OR NEW.ended_at IS NOT NULL) THEN
    PERFORM pg_advisory_xact_lock(hashtextextended(OLD.firm_id::text, 22));
    IF NOT EXISTS (SELECT 1 FROM people p WHERE p.firm_id = OLD.firm_id AND p.id <> OLD.id AND p.role = 'supervisor' AND p.ended_at IS NULL)
    THEN RAISE EXCEPTION 'a firm keeps a supervisor' USING ERRCODE = 'KG001'; END IF;
  END IF;
  RETURN NEW;
END $$;
CREATE TRIGGER keeps_a_supervisor BEFORE UPDATE OF role, ended_at ON people
  FOR EACH ROW WHEN (current_user = 'keen_gauge_app') EXECUTE FUNCTION keeps_a_supervisor();

-- Links that open the application once, to somebody with no password yet or none any more. What stands in the link is kept as its digest only.
CREATE TABLE access_links (
  id uuid PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  kind text NOT NULL CHECK (kind IN ('invitation', 'recovery')),
  digest bytea UNIQUE,
  email text NOT NULL CHECK (email = lower(email) AND length(email) <= 200),
  -- Of an invitation: what the person will be.
  name text NOT NULL DEFAULT '' CHECK (length(name) <= 100),
  role text CHECK (role IN ('surveyor', 'office', 'supervisor')),
  may_sign_off boolean NOT NULL DEFAULT false,
  registration text NOT NULL DEFAULT '' CHECK (length(registration) <= 60),
  -- Of a recovery: whose.
  person_id uuid REFERENCES people,
  -- Nobody, where the person asked for it, or the server's keeper made it.
  made_by uuid REFERENCES people,
  made_at timestamptz NOT NULL DEFAULT now(),
  expires_at timestamptz NOT NULL,
  used_at timestamptz,
  revoked_at timestamptz,
  CHECK ((kind = 'invitation') = (role IS NOT NULL) AND (kind = 'recovery') = (person_id IS NOT NULL))
);
CREATE INDEX access_links_firm ON access_links (firm_id, made_at DESC);
ALTER TABLE access_links ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON access_links USING (firm_id = current_firm());
GRANT SELECT, INSERT, UPDATE (digest, expires_at, used_at, revoked_at) ON access_links TO keen_gauge_app;

-- One that was used or revoked stays so.
CREATE FUNCTION link_stays_shut() RETURNS trigger LANGUAGE plpgsql AS
$$ BEGIN
  IF OLD.used_at IS NOT NULL OR OLD.revoked_at IS NOT NULL THEN
    RAISE EXCEPTION 'a link that is used or revoked stays so' USING ERRCODE = 'integrity_constraint_violation';
  END IF;
  RETURN NEW;
END $$;
CREATE TRIGGER link_stays_shut BEFORE UPDATE ON access_links FOR EACH ROW WHEN (current_user = 'keen_gauge_app') EXECUTE FUNCTION link_stays_shut();

-- Whoever holds a link belongs to no firm yet: this look-up crosses firms, by the digest of what only the link says.
CREATE FUNCTION firm_of_link(wanted bytea) RETURNS TABLE (id uuid, firm_id uuid)
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
$$ SELECT l.id, l.firm_id FROM access_links l
    WHERE l.digest = wanted AND l.used_at IS NULL AND l.revoked_at IS NULL AND l.expires_at > now() $$;
REVOKE ALL ON FUNCTION firm_of_link(bytea) FROM PUBLIC;
GRANT EXECUTE ON FUNCTION firm_of_link(bytea) TO keen_gauge_app;

-- The first firm is made by whoever holds a code that the server printed; only while there is none.
CREATE TABLE setup_codes (digest bytea PRIMARY KEY, made_at timestamptz NOT NULL DEFAULT now());

CREATE FUNCTION is_set_up() RETURNS boolean LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
$$ SELECT EXISTS (SELECT 1 FROM firms) $$;

CREATE FUNCTION offer_setup(code bytea) RETURNS boolean LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS
$$ BEGIN
  IF EXISTS (SELECT 1 FROM firms) THEN RETURN false; END IF;
  INSERT INTO setup_codes (digest) VALUES (code);
  RETURN true;
END $$;

CREATE FUNCTION set_up(code bytea, firm_name text, wanted_email text, person_name text, person_registration text, hash text)
RETURNS TABLE (firm_id uuid, person_id uuid, generation integer) LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS
$$ DECLARE made uuid;
BEGIN
  -- Two at one moment make one firm.
  LOCK TABLE setup_codes IN EXCLUSIVE MODE;
  IF EXISTS (SELECT 1 FROM firms) OR NOT EXISTS (SELECT 1 FROM setup_codes c WHERE c.digest = code AND c.made_at > now() - interval '1 day') THEN RETURN; END IF;
  INSERT INTO firms (name) VALUES (firm_name) RETURNING id INTO made;
  DELETE FROM setup_codes;
  RETURN QUERY INSERT INTO people (firm_id, email, name, role, may_sign_off, registration, password_hash)
    VALUES (made, lower(wanted_email), person_name, 'supervisor', true, person_registration, hash)
    RETURNING people.firm_id, people.id, people.generation;
END $$;
REVOKE ALL ON FUNCTION is_set_up(), offer_setup(bytea), set_up(bytea, text, text, text, text, text) FROM PUBLIC;
GRANT EXECUTE ON FUNCTION is_set_up(), offer_setup(bytea), set_up(bytea, text, text, text, text, text) TO keen_gauge_app;

-- Sessions are looked up by whose they are, to be listed and ended.
CREATE INDEX session_person ON session ((sess -> 'asker' ->> 'personId'));

-- Mail: queued with what it is about, sent in the background, kept on the record. What opens something stands in none of it: it is put in when it is sent.
CREATE TABLE mails (
  id uuid PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  kind text NOT NULL CHECK (kind IN ('invitation', 'recovery', 'to-operator', 'to-customer', 'reminder')),
  job_id uuid REFERENCES jobs,
  link_id uuid REFERENCES access_links,
  pack_id uuid REFERENCES packs,
  to_address text NOT NULL CHECK (length(to_address) <= 200),
  subject text NOT NULL CHECK (length(subject) <= 200),
  body text NOT NULL CHECK (length(body) <= 50000),
  state text NOT NULL DEFAULT 'waiting' CHECK (state IN ('draft', 'waiting', 'sent', 'given-up')),
  trouble text,
  made_by uuid REFERENCES people,
  made_at timestamptz NOT NULL DEFAULT now(),
  sent_at timestamptz
);
CREATE INDEX mails_job ON mails (job_id, made_at);
ALTER TABLE mails ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON mails USING (firm_id = current_firm());
GRANT SELECT, INSERT, UPDATE (state, trouble, sent_at) ON mails TO keen_gauge_app;
