-- What a reminder is about, so that each is written once; a mail that is not one says nothing here.
ALTER TABLE mails ADD about text CHECK (length(about) <= 200);
CREATE UNIQUE INDEX mails_about ON mails (firm_id, about);

-- Reminders are looked for in every firm; an instance knows of none by itself.
CREATE FUNCTION firms_to_remind() RETURNS SETOF uuid LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
$$ SELECT id FROM firms $$;
REVOKE ALL ON FUNCTION firms_to_remind() FROM PUBLIC;
GRANT EXECUTE ON FUNCTION firms_to_remind() TO keen_gauge_app;
