-- A check of a batch that somebody asked for, beside those its span plans.
CREATE TABLE recheck (
  id TEXT PRIMARY KEY,
  batch_id TEXT NOT NULL REFERENCES batch (id) ON DELETE CASCADE,
  day TEXT NOT NULL CHECK (day GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  why TEXT NOT NULL DEFAULT '' CHECK (length(why) <= 400),
  made_at TEXT NOT NULL,
  made_by TEXT NOT NULL REFERENCES person (id),
  removed_at TEXT
) STRICT;
CREATE INDEX recheck_by_batch ON recheck (batch_id);
