-- A pack may be of one of the supplies behind a building’s intake: the node of its own fuse. Breaks nothing: those there are stay packs of the whole.

ALTER TABLE packs ADD COLUMN supply_id text CHECK (supply_id ~ '^[A-Za-z0-9_-]{1,64}$');
-- What that supply is called in its survey, for lists.
ALTER TABLE packs ADD COLUMN supply_name text CHECK (length(supply_name) <= 200);
