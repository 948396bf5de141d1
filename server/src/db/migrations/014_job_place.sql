-- What the diary and the list read of every survey at once, beside it rather than in it: opening thousands of documents for a word each
-- takes longer than everything else of the diary.
ALTER TABLE jobs ADD nation text GENERATED ALWAYS AS (survey->'place'->>'nation') STORED;
ALTER TABLE jobs ADD meter_point text GENERATED ALWAYS AS (survey->'place'->>'meterPointNumber') STORED;
