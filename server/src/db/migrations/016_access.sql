-- Access that can be taken away, sign-in limits that slow whoever guesses, and rules that the application's role cannot step around.
-- Instances of before sign nobody in on this database: they do not know of generations. Stop them first.

-- Counted up whenever what somebody may do changes. A session bears the number it was made under, and is worth nothing under another.
ALTER TABLE people ADD generation integer NOT NULL DEFAULT 1;
-- Somebody who has left: what they did stays theirs, and they sign in no more.
ALTER TABLE people ADD ended_at timestamptz;

CREATE FUNCTION count_generation() RETURNS trigger LANGUAGE plpgsql AS
$$ BEGIN
  IF (NEW.password_hash, NEW.firm_id, NEW.role, NEW.may_sign_off, NEW.ended_at)
     IS DISTINCT FROM (OLD.password_hash, OLD.firm_id, OLD.role, OLD.may_sign_off, OLD.ended_at)
  THEN NEW.generation := OLD.generation + 1; END IF;
  RETURN NEW;
END $$;
CREATE TRIGGER count_generation BEFORE UPDATE ON people FOR EACH ROW EXECUTE FUNCTION count_generation();

-- Where somebody has signed in before, by device and by address, kept as digests: whoever guesses elsewhere does not shut them out there.
CREATE TABLE known_places (
  person_id uuid NOT NULL REFERENCES people ON DELETE CASCADE,
  firm_id uuid NOT NULL REFERENCES firms,
  digest bytea NOT NULL,
  seen_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (person_id, digest)
);
ALTER TABLE known_places ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON known_places USING (firm_id = current_firm());
GRANT SELECT, INSERT, DELETE, UPDATE (seen_at) ON known_places TO keen_gauge_app;

DROP FUNCTION person_for_sign_in(text);
-- Signing in has to find a person before the firm is known: this look-up crosses firms. `known` are those of the digests they have signed in from lately.
CREATE FUNCTION person_for_sign_in(wanted_email text, digests bytea[])
RETURNS TABLE (id uuid, firm_id uuid, password_hash text, generation integer, known bytea[])
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
$$ SELECT p.id, p.firm_id, p.password_hash, p.generation,
          ARRAY(SELECT k.digest FROM known_places k
                 WHERE k.person_id = p.id AND k.digest = ANY (digests) AND k.seen_at > now() - interval '90 days')
     FROM people p WHERE p.email = lower(wanted_email) AND p.ended_at IS NULL $$;
REVOKE ALL ON FUNCTION person_for_sign_in(text, bytea[]) FROM PUBLIC;
GRANT EXECUTE ON FUNCTION person_for_sign_in(text, bytea[]) TO keen_gauge_app;

-- A head goes from one revision to the next and nowhere else: whatever the application's role is made to say, the survey is what its revisions made it.
CREATE FUNCTION head_goes_on() RETURNS trigger LANGUAGE plpgsql AS
$$ BEGIN
  IF NEW.revision_id IS DISTINCT FROM OLD.revision_id THEN
    IF NEW.revision_seq <> OLD.revision_seq + 1
       OR NOT EXISTS (SELECT 1 FROM revisions r WHERE r.id = NEW.revision_id AND r.job_id = NEW.id AND r.seq = NEW.revision_seq
                         AND r.parent_id = OLD.revision_id)
    THEN RAISE EXCEPTION 'a head moves to the revision made upon it' USING ERRCODE = 'integrity_constraint_violation'; END IF;
  ELSIF NEW.survey IS DISTINCT FROM OLD.survey OR NEW.revision_seq <> OLD.revision_seq
  THEN RAISE EXCEPTION 'a survey changes with a revision' USING ERRCODE = 'integrity_constraint_violation'; END IF;
  RETURN NEW;
END $$;
CREATE CONSTRAINT TRIGGER head_goes_on AFTER UPDATE OF survey, revision_id, revision_seq ON jobs
  FOR EACH ROW WHEN (current_user = 'keen_gauge_app') EXECUTE FUNCTION head_goes_on();

-- An address of a calendar that was revoked stays revoked.
CREATE FUNCTION stays_revoked() RETURNS trigger LANGUAGE plpgsql AS
$$ BEGIN
  IF OLD.revoked_at IS NOT NULL THEN
    RAISE EXCEPTION 'what is revoked stays revoked' USING ERRCODE = 'integrity_constraint_violation';
  END IF;
  RETURN NEW;
END $$;
CREATE TRIGGER stays_revoked BEFORE UPDATE ON calendar_feeds FOR EACH ROW WHEN (current_user = 'keen_gauge_app') EXECUTE FUNCTION stays_revoked();

-- A link to a charge point that has ended stays ended.
CREATE FUNCTION stays_ended() RETURNS trigger LANGUAGE plpgsql AS
$$ BEGIN
  IF OLD.ended_at IS NOT NULL AND (NEW.ended_at IS NULL OR NEW.connection IS NOT NULL) THEN
    RAISE EXCEPTION 'a link that has ended stays ended' USING ERRCODE = 'integrity_constraint_violation';
  END IF;
  RETURN NEW;
END $$;
CREATE TRIGGER stays_ended BEFORE UPDATE ON charge_points FOR EACH ROW WHEN (current_user = 'keen_gauge_app') EXECUTE FUNCTION stays_ended();

-- Numbers are counted up by one, so that none is given twice.
CREATE FUNCTION numbers_go_up() RETURNS trigger LANGUAGE plpgsql AS
$$ BEGIN
  IF NEW.next_job_number NOT IN (OLD.next_job_number, OLD.next_job_number + 1)
     OR NEW.next_pack_number NOT IN (OLD.next_pack_number, OLD.next_pack_number + 1) THEN
    RAISE EXCEPTION 'numbers are counted up by one' USING ERRCODE = 'integrity_constraint_violation';
  END IF;
  RETURN NEW;
END $$;
CREATE TRIGGER numbers_go_up BEFORE UPDATE ON firms FOR EACH ROW WHEN (current_user = 'keen_gauge_app') EXECUTE FUNCTION numbers_go_up();

-- Things of a firm under ids that clients make, which nothing else refers to: another firm's ids are no business of theirs, not even by being taken.
ALTER TABLE instruments DROP CONSTRAINT instruments_pkey, ADD PRIMARY KEY (firm_id, id);
ALTER TABLE equipment_profiles DROP CONSTRAINT equipment_profiles_pkey, ADD PRIMARY KEY (firm_id, id);
ALTER TABLE operator_packs DROP CONSTRAINT operator_packs_pkey, ADD PRIMARY KEY (firm_id, id, version);
