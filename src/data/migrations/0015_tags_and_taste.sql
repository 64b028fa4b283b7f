-- The house's own words for a release: a menu, a season, a customer.
ALTER TABLE release ADD COLUMN tags TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(tags));

-- Who tasted how much on a day.
CREATE INDEX tasting_by_moment ON tasting (tasted_at) WHERE removed_at IS NULL;

-- Where the house likes strength and extraction to lie; drawn and never judged by.
ALTER TABLE house ADD COLUMN tds_from_pct REAL CHECK (tds_from_pct BETWEEN 0 AND 30);
ALTER TABLE house ADD COLUMN tds_to_pct REAL CHECK (tds_to_pct BETWEEN 0 AND 30);
ALTER TABLE house ADD COLUMN extraction_from_pct REAL CHECK (extraction_from_pct BETWEEN 5 AND 40);
ALTER TABLE house ADD COLUMN extraction_to_pct REAL CHECK (extraction_to_pct BETWEEN 5 AND 40);

-- A shot caught in several cups, each tasted alone.
CREATE TABLE staged_shot (
  shot_id TEXT PRIMARY KEY REFERENCES shot (id) ON DELETE CASCADE,
  cups TEXT NOT NULL CHECK (json_valid(cups)),
  likeness TEXT CHECK (likeness IN ('first', 'middle', 'last')),
  noted_at TEXT NOT NULL,
  noted_by TEXT NOT NULL REFERENCES person (id)
) STRICT;
