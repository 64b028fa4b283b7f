-- A recipe that came over from an older batch of its coffee.
ALTER TABLE recipe_draft ADD COLUMN carried_from TEXT REFERENCES recipe_draft (id);

-- What a house's batches teach is read from its newest dial-ins.
CREATE INDEX dial_in_by_start ON dial_in (started_at);

-- When a grinder's numbers began to mean something else: a new zero point, new burrs.
CREATE TABLE grinder_era (
  id TEXT PRIMARY KEY,
  grinder_id TEXT NOT NULL REFERENCES grinder (id),
  kind TEXT NOT NULL CHECK (kind IN ('zero', 'burrs')),
  -- How much higher the same grind reads since; unknown when null.
  shift REAL CHECK (shift BETWEEN -1000 AND 1000),
  reason TEXT NOT NULL CHECK (length(reason) <= 500),
  began_at TEXT NOT NULL,
  created_by TEXT NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX grinder_era_of ON grinder_era (grinder_id, began_at);
