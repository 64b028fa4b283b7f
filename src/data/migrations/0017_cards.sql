-- What cards say of the house: its water, the language of its words, the cups of its bar.
ALTER TABLE house ADD COLUMN water_hardness_mg_l REAL CHECK (water_hardness_mg_l BETWEEN 0 AND 500);
ALTER TABLE house ADD COLUMN water_alkalinity_mg_l REAL CHECK (water_alkalinity_mg_l BETWEEN 0 AND 500);
ALTER TABLE house ADD COLUMN card_language TEXT NOT NULL DEFAULT 'en'
  CHECK (card_language IN ('en', 'de', 'fr', 'it', 'es', 'pt'));
ALTER TABLE house ADD COLUMN drinks TEXT NOT NULL DEFAULT
  '[{"name":"Espresso","cupMl":80,"shots":1,"fill":"none"},{"name":"Cappuccino","cupMl":180,"shots":1,"fill":"milk"},{"name":"Long black","cupMl":200,"shots":1,"fill":"water"}]'
  CHECK (json_valid(drinks));

-- Files of a version are made anew: a page and papers for each language.
DROP TABLE public_file;
CREATE TABLE public_file (
  version_id TEXT NOT NULL REFERENCES recipe_version (id),
  kind TEXT NOT NULL CHECK (length(kind) BETWEEN 1 AND 40),
  -- The public address it leads to.
  address TEXT NOT NULL,
  bytes BLOB NOT NULL,
  etag TEXT NOT NULL,
  policy TEXT NOT NULL,
  PRIMARY KEY (version_id, kind)
) STRICT;
