-- What the machine does during a shot, step by step; and the house's own programmes.

-- [{drive, level, seconds, ramp, limitBar?}]; NULL where a recipe says it in words alone.
ALTER TABLE recipe_draft ADD COLUMN steps TEXT CHECK (steps IS NULL OR json_valid(steps));

CREATE TABLE programme (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  style TEXT NOT NULL,
  steps TEXT NOT NULL CHECK (json_valid(steps)),
  -- 1 where Start begins its style with this one.
  is_first INTEGER NOT NULL DEFAULT 0 CHECK (is_first IN (0, 1)),
  row_version INTEGER NOT NULL DEFAULT 1,
  saved_at TEXT NOT NULL,
  saved_by TEXT NOT NULL REFERENCES person (id),
  removed_at TEXT
) STRICT;

CREATE UNIQUE INDEX programme_first ON programme (style) WHERE is_first = 1;
