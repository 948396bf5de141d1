-- Personal data: everything of a job's customer can be erased. Signed packs stay until the day the firm keeps them to, since law and the operator need them; the record keeps who did what and
-- when, without what it was about.
CREATE TABLE erasures (
  job_id uuid PRIMARY KEY REFERENCES jobs,
  firm_id uuid NOT NULL REFERENCES firms,
  -- Nobody, where the firm's own period has run out.
  asked_by uuid REFERENCES people,
  asked_at timestamptz NOT NULL DEFAULT now(),
  done_at timestamptz,
  -- Until when its signed packs are kept; null where there are none.
  packs_until date,
  packs_gone_at timestamptz
);
ALTER TABLE erasures ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON erasures USING (firm_id = current_firm());
GRANT SELECT, INSERT, UPDATE (done_at, packs_until, packs_gone_at) ON erasures TO keen_gauge_app;

-- What is taken away counts no more against what a firm may keep.
CREATE FUNCTION uncount_storage() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS
$$ BEGIN
  UPDATE firm_storage SET bytes = greatest(0, bytes - octet_length(OLD.bytes)) WHERE firm_id = OLD.firm_id;
  RETURN NULL;
END $$;
REVOKE ALL ON FUNCTION uncount_storage() FROM PUBLIC;
CREATE TRIGGER uncount_storage AFTER DELETE ON pictures FOR EACH ROW EXECUTE FUNCTION uncount_storage();
CREATE TRIGGER uncount_storage AFTER DELETE ON logs FOR EACH ROW EXECUTE FUNCTION uncount_storage();
CREATE TRIGGER uncount_storage AFTER DELETE ON event_attachments FOR EACH ROW EXECUTE FUNCTION uncount_storage();

-- The application's role deletes nothing of a survey by itself: this does, of a job of the firm in scope for which an erasure was asked. `blank` is what is left in the survey's place.
CREATE FUNCTION erase_job(erased_job uuid, blank jsonb) RETURNS void LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS
$$ DECLARE firm uuid := current_firm(); said text[]; kept text[];
BEGIN
  IF NOT EXISTS (SELECT 1 FROM jobs WHERE id = erased_job AND firm_id = firm)
     OR NOT EXISTS (SELECT 1 FROM erasures WHERE job_id = erased_job AND firm_id = firm)
  THEN RAISE EXCEPTION 'no erasure was asked for' USING ERRCODE = 'integrity_constraint_violation'; END IF;

  -- What is looked for in answers kept for a while under their keys.
  SELECT array_remove(ARRAY[j.id::text, nullif(j.customer, ''), nullif(j.meter_point, ''), nullif(j.place, ''),
           nullif(j.survey #>> '{place,customerPhone}', ''), nullif(j.survey #>> '{place,customerEmail}', '')], NULL)
    INTO said FROM jobs j WHERE j.id = erased_job;
  DELETE FROM answered_requests a WHERE a.firm_id = firm AND EXISTS (SELECT 1 FROM unnest(said) s WHERE strpos(a.answer::text, s) > 0);

  DELETE FROM mails WHERE job_id = erased_job OR customer_link_id IN (SELECT id FROM customer_links WHERE job_id = erased_job);
  DELETE FROM customer_pictures WHERE link_id IN (SELECT id FROM customer_links WHERE job_id = erased_job);
  DELETE FROM customer_answers WHERE link_id IN (SELECT id FROM customer_links WHERE job_id = erased_job);
  DELETE FROM customer_tokens WHERE link_id IN (SELECT id FROM customer_links WHERE job_id = erased_job);
  DELETE FROM customer_links WHERE job_id = erased_job;
  DELETE FROM uploads WHERE job_id = erased_job;
  DELETE FROM logs WHERE job_id = erased_job;
  DELETE FROM charge_point_samples WHERE point_id IN (SELECT id FROM charge_points WHERE job_id = erased_job);
  DELETE FROM charge_point_calls WHERE point_id IN (SELECT id FROM charge_points WHERE job_id = erased_job);
  DELETE FROM charge_points WHERE job_id = erased_job;
  DELETE FROM event_attachments WHERE event_id IN (SELECT id FROM job_events WHERE job_id = erased_job);
  UPDATE job_events SET details = details - ARRAY['note', 'reference'] WHERE job_id = erased_job;

  -- Pictures that a signed pack hands out stay with it.
  SELECT coalesce(array_agg(p ->> 'key'), '{}') INTO kept
    FROM packs k JOIN pack_files f ON f.pack_id = k.id, jsonb_array_elements(f.pictures) p WHERE k.job_id = erased_job;
  DELETE FROM pictures WHERE firm_id = firm AND NOT (key = ANY (kept))
    AND split_part(key, '/', 1) IN (SELECT id::text FROM photos WHERE job_id = erased_job);
  DELETE FROM photos WHERE job_id = erased_job AND NOT EXISTS (SELECT 1 FROM unnest(kept) key WHERE split_part(key, '/', 1) = photos.id::text);

  UPDATE revisions SET changes = '[]' WHERE job_id = erased_job;
  UPDATE jobs SET place = 'Erased', wanted = '', next_question = NULL, survey = blank,
         due_on = NULL, due_what = NULL, survey_on = NULL, fitting_on = NULL, archived_at = coalesce(archived_at, now()), changed_at = now()
   WHERE id = erased_job;
  -- The record says what was done, by whom and when; of its details only the numbers of packs and revisions.
  UPDATE audit_entries SET details = (SELECT coalesce(jsonb_object_agg(key, value), '{}') FROM jsonb_each(details) WHERE key IN ('pack', 'revision'))
   WHERE job_id = erased_job;
  DELETE FROM diary_files WHERE firm_id = firm;
END $$;

-- The signed packs of an erased job, once the day they were kept to is past.
CREATE FUNCTION erase_packs(erased_job uuid) RETURNS void LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS
$$ DECLARE firm uuid := current_firm();
BEGIN
  IF NOT EXISTS (SELECT 1 FROM erasures WHERE job_id = erased_job AND firm_id = firm AND done_at IS NOT NULL AND packs_until <= current_date)
  THEN RAISE EXCEPTION 'packs are kept' USING ERRCODE = 'integrity_constraint_violation'; END IF;
  DELETE FROM submission_messages WHERE submission_id IN (SELECT id FROM submissions WHERE job_id = erased_job);
  DELETE FROM submissions WHERE job_id = erased_job;
  DELETE FROM pack_files WHERE pack_id IN (SELECT id FROM packs WHERE job_id = erased_job);
  DELETE FROM packs WHERE job_id = erased_job;
  DELETE FROM pictures WHERE firm_id = firm AND split_part(key, '/', 1) IN (SELECT id::text FROM photos WHERE job_id = erased_job);
  DELETE FROM photos WHERE job_id = erased_job;
END $$;

-- What customers sent, after so long: the answers and pictures of links made before then.
CREATE FUNCTION forget_customers(before timestamptz) RETURNS void LANGUAGE sql SECURITY DEFINER SET search_path = public AS
$$ DELETE FROM customer_pictures p USING customer_links l WHERE l.id = p.link_id AND l.firm_id = current_firm() AND l.made_at < before;
   DELETE FROM customer_answers a USING customer_links l WHERE l.id = a.link_id AND l.firm_id = current_firm() AND l.made_at < before;
   DELETE FROM customer_tokens t USING customer_links l WHERE l.id = t.link_id AND l.firm_id = current_firm() AND l.made_at < before; $$;
REVOKE ALL ON FUNCTION erase_job(uuid, jsonb), erase_packs(uuid), forget_customers(timestamptz) FROM PUBLIC;
GRANT EXECUTE ON FUNCTION erase_job(uuid, jsonb), erase_packs(uuid), forget_customers(timestamptz) TO keen_gauge_app;
