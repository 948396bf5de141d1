-- Documents are compressed already: compressing them again on the way into the table takes longer than making them.
ALTER TABLE packs ALTER pdf SET STORAGE EXTERNAL;
ALTER TABLE event_attachments ALTER bytes SET STORAGE EXTERNAL;

-- Photographs are kept once, with the survey: of a pack only their names in its archive and where they are kept. They never change, so
-- that the archive is the same whenever it is put together. Packs of before have them in their archive.
ALTER TABLE packs ADD pictures jsonb NOT NULL DEFAULT '[]';
