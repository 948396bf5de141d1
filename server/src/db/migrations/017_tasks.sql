-- Work done in the background: packs handed in, documents made, pictures printed, jobs reckoned anew, diaries written. One queue for all of it.

CREATE TABLE tasks (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  firm_id uuid NOT NULL REFERENCES firms,
  kind text NOT NULL,
  -- What it is about; asked for twice, it is one task.
  about text NOT NULL,
  -- In whose name it is done, where it is anybody's.
  person_id uuid REFERENCES people,
  -- Counted when it is taken up: what an instance began and never ended has been tried.
  attempts integer NOT NULL DEFAULT 0,
  next_at timestamptz NOT NULL DEFAULT now(),
  -- While one instance works on it no other does; it says so again and again, and one that dies lets go by the time passing.
  claim uuid,
  claimed_until timestamptz,
  -- Asked for again while it was being done: it is done once more.
  again boolean NOT NULL DEFAULT false,
  -- Why it did not come off last, in words for a person.
  trouble text,
  -- Since when it has failed so often that somebody should look at it.
  stuck_at timestamptz,
  made_at timestamptz NOT NULL DEFAULT now(),
  UNIQUE (firm_id, kind, about)
);
CREATE INDEX tasks_due ON tasks (next_at);
ALTER TABLE tasks ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON tasks USING (firm_id = current_firm());
GRANT SELECT, INSERT, DELETE, UPDATE (attempts, next_at, claim, claimed_until, again, trouble, stuck_at, person_id) ON tasks TO keen_gauge_app;

-- Whoever waits for work is woken when there is some.
CREATE FUNCTION tasks_wake() RETURNS trigger LANGUAGE plpgsql AS
$$ BEGIN PERFORM pg_notify('tasks', ''); RETURN NULL; END $$;
CREATE TRIGGER tasks_wake AFTER INSERT OR UPDATE OF next_at ON tasks FOR EACH STATEMENT EXECUTE FUNCTION tasks_wake();

-- The workers look across firms for the next task that is due and take it for a while: this, and nothing else of it.
CREATE FUNCTION claim_task(kinds text[], seconds integer)
RETURNS TABLE (id uuid, firm_id uuid, kind text, about text, person_id uuid, attempts integer, claim uuid)
LANGUAGE sql SECURITY DEFINER SET search_path = public AS
$$ UPDATE tasks t SET claim = gen_random_uuid(), claimed_until = now() + make_interval(secs => seconds), attempts = t.attempts + 1, again = false
    WHERE t.id = (SELECT d.id FROM tasks d
                   WHERE d.kind = ANY (kinds) AND d.next_at <= now() AND (d.claimed_until IS NULL OR d.claimed_until < now())
                   ORDER BY d.next_at LIMIT 1 FOR UPDATE SKIP LOCKED)
   RETURNING t.id, t.firm_id, t.kind, t.about, t.person_id, t.attempts, t.claim $$;
REVOKE ALL ON FUNCTION claim_task(text[], integer) FROM PUBLIC;
GRANT EXECUTE ON FUNCTION claim_task(text[], integer) TO keen_gauge_app;

-- How much waits and how much is stuck, over all firms, for whoever runs the server: counts and nothing else.
CREATE FUNCTION task_counts() RETURNS TABLE (kind text, waiting bigint, stuck bigint, oldest_s double precision)
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
$$ SELECT t.kind, count(*) FILTER (WHERE t.next_at <= now()), count(*) FILTER (WHERE t.stuck_at IS NOT NULL),
          coalesce(max(extract(epoch FROM now() - t.next_at)) FILTER (WHERE t.next_at <= now()), 0)::float
     FROM tasks t GROUP BY t.kind $$;
REVOKE ALL ON FUNCTION task_counts() FROM PUBLIC;
GRANT EXECUTE ON FUNCTION task_counts() TO keen_gauge_app;

-- The outbox is such work: what was under way goes on here.
INSERT INTO tasks (firm_id, kind, about, person_id, attempts, next_at)
  SELECT firm_id, 'hand-in', id::text, asked_by, attempts, next_at FROM submissions WHERE state IN ('waiting', 'handed-in');
DROP FUNCTION claim_submission(integer);
DROP INDEX submissions_due;
ALTER TABLE submissions DROP COLUMN next_at, DROP COLUMN claimed_until, DROP COLUMN attempts;
-- How often a pack was tried before it was stopped, for what is said of it.
ALTER TABLE submissions ADD tries integer NOT NULL DEFAULT 0;
GRANT UPDATE (tries) ON submissions TO keen_gauge_app;

-- A pack's document and archive, added when they have been made: what was signed is fixed before, and neither is ever changed.
CREATE TABLE pack_files (
  pack_id uuid PRIMARY KEY REFERENCES packs,
  firm_id uuid NOT NULL REFERENCES firms,
  pdf bytea NOT NULL,
  bundle bytea,
  pictures jsonb NOT NULL DEFAULT '[]',
  made_at timestamptz NOT NULL DEFAULT now()
);
-- Compressed already.
ALTER TABLE pack_files ALTER pdf SET STORAGE EXTERNAL, ALTER bundle SET STORAGE EXTERNAL;
INSERT INTO pack_files (pack_id, firm_id, pdf, bundle, pictures, made_at) SELECT id, firm_id, pdf, bundle, pictures, signed_at FROM packs;
ALTER TABLE packs DROP COLUMN pdf, DROP COLUMN bundle, DROP COLUMN pictures;
-- What the document and the archive are made of beside the content: as it was when it was signed.
ALTER TABLE packs ADD making jsonb;
ALTER TABLE pack_files ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON pack_files USING (firm_id = current_firm());
GRANT SELECT, INSERT ON pack_files TO keen_gauge_app;

-- A firm's diary as calendars read it, written beforehand; `version` says of which state of the firm.
CREATE TABLE diary_files (
  firm_id uuid PRIMARY KEY REFERENCES firms,
  version text NOT NULL,
  body text NOT NULL,
  made_at timestamptz NOT NULL DEFAULT now()
);
ALTER TABLE diary_files ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON diary_files USING (firm_id = current_firm());
GRANT SELECT, INSERT, UPDATE (version, body, made_at) ON diary_files TO keen_gauge_app;
