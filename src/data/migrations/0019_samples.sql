-- Bags of a batch that were set aside: where they lie, and when they were frozen and thawed.
CREATE TABLE sample (
  id TEXT PRIMARY KEY,
  batch_id TEXT NOT NULL REFERENCES batch (id) ON DELETE CASCADE,
  label TEXT NOT NULL CHECK (length(label) BETWEEN 1 AND 40),
  bag_g REAL NOT NULL CHECK (bag_g BETWEEN 1 AND 100000),
  place TEXT NOT NULL DEFAULT '' CHECK (length(place) <= 40),
  frozen_on TEXT CHECK (frozen_on GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  thawed_on TEXT CHECK (thawed_on GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  made_at TEXT NOT NULL,
  made_by TEXT NOT NULL REFERENCES person (id),
  row_version INTEGER NOT NULL DEFAULT 1,
  removed_at TEXT,
  CHECK (thawed_on IS NULL OR (frozen_on IS NOT NULL AND thawed_on >= frozen_on))
) STRICT;
CREATE INDEX sample_by_batch ON sample (batch_id);

-- The bag in use: its days frozen do not count as rest.
ALTER TABLE batch ADD COLUMN open_sample_id TEXT REFERENCES sample (id);
ALTER TABLE shot ADD COLUMN sample_id TEXT REFERENCES sample (id);

-- A span of the release's own, in place of the school's; all four days or none.
ALTER TABLE release ADD COLUMN rest_opens INTEGER CHECK (rest_opens BETWEEN 0 AND 365);
ALTER TABLE release ADD COLUMN rest_best_from INTEGER CHECK (rest_best_from BETWEEN 0 AND 365);
ALTER TABLE release ADD COLUMN rest_best_to INTEGER CHECK (rest_best_to BETWEEN 0 AND 365);
ALTER TABLE release ADD COLUMN rest_fades INTEGER CHECK (rest_fades BETWEEN 0 AND 365);

-- Whoever has it reads the planned checks; none before somebody asked for an address.
ALTER TABLE house ADD COLUMN calendar_secret TEXT CHECK (calendar_secret IS NULL OR length(calendar_secret) >= 20);
