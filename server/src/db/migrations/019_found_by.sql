-- What a caller says of a job: a name, a telephone number, a postcode, a meter point number. Kept beside the survey so that a search need not open it;
-- numbers without what stands between their digits, the postcode with and without its space.
-- Breaks nothing: the database fills it in, now and with every save.

ALTER TABLE jobs ADD COLUMN found_by text GENERATED ALWAYS AS (
  coalesce(survey #>> '{place,customerName}', '') || ' ' ||
  coalesce(survey #>> '{place,customerEmail}', '') || ' ' ||
  regexp_replace(coalesce(survey #>> '{place,customerPhone}', ''), '[^0-9+]', '', 'g') || ' ' ||
  regexp_replace(coalesce(survey #>> '{place,meterPointNumber}', ''), '[^0-9]', '', 'g') || ' ' ||
  coalesce(survey #>> '{place,postcode}', '') || ' ' ||
  replace(coalesce(survey #>> '{place,postcode}', ''), ' ', '')
) STORED;
