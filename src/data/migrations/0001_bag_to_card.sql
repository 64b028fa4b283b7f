-- Append-only: once shipped, a migration is never edited.
-- Units are in the names. Days are yyyy-mm-dd, moments are ISO 8601 in UTC.

CREATE TABLE house (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  brew_style TEXT NOT NULL DEFAULT 'classic',
  temperature_school TEXT NOT NULL DEFAULT 'both' CHECK (temperature_school IN ('both', 'narrow', 'wide')),
  rest_school TEXT NOT NULL DEFAULT 'byRoast' CHECK (rest_school IN ('byRoast', 'oneWeek', 'patient', 'early')),
  clock TEXT NOT NULL DEFAULT 'pump' CHECK (clock IN ('pump', 'firstDrip')),
  dose_tolerance_g REAL NOT NULL DEFAULT 0.2 CHECK (dose_tolerance_g BETWEEN 0.05 AND 2),
  yield_tolerance_g REAL NOT NULL DEFAULT 1 CHECK (yield_tolerance_g BETWEEN 0.1 AND 10),
  taste_first INTEGER NOT NULL DEFAULT 0 CHECK (taste_first IN (0, 1)),
  created_at TEXT NOT NULL
) STRICT;

CREATE TABLE person (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  role TEXT NOT NULL CHECK (role IN ('lead', 'bench', 'reader')),
  created_at TEXT NOT NULL
) STRICT;

CREATE TABLE machine (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  settable_temperature INTEGER NOT NULL CHECK (settable_temperature IN (0, 1)),
  fixed_temperature_c REAL CHECK (fixed_temperature_c BETWEEN 60 AND 100),
  pressure_control INTEGER NOT NULL CHECK (pressure_control IN (0, 1))
) STRICT;

CREATE TABLE grinder (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  step_size REAL NOT NULL CHECK (step_size > 0),
  finer_is TEXT NOT NULL CHECK (finer_is IN ('lower', 'higher')),
  dial_min REAL NOT NULL,
  dial_max REAL NOT NULL,
  retention_g REAL NOT NULL CHECK (retention_g BETWEEN 0 AND 20),
  um_per_step REAL CHECK (um_per_step > 0),
  CHECK (dial_min < dial_max)
) STRICT;

CREATE TABLE basket (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  diameter_mm REAL NOT NULL CHECK (diameter_mm BETWEEN 35 AND 64),
  rated_g REAL NOT NULL CHECK (rated_g BETWEEN 5 AND 30)
) STRICT;

CREATE TABLE setup (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  machine_id TEXT NOT NULL REFERENCES machine (id),
  grinder_id TEXT NOT NULL REFERENCES grinder (id),
  basket_id TEXT NOT NULL REFERENCES basket (id),
  row_version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL
) STRICT;

CREATE TABLE release (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  promised_notes TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(promised_notes)),
  row_version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  created_by TEXT NOT NULL REFERENCES person (id)
) STRICT;

CREATE TABLE component (
  id TEXT PRIMARY KEY,
  release_id TEXT NOT NULL REFERENCES release (id) ON DELETE CASCADE,
  position INTEGER NOT NULL CHECK (position >= 1),
  share_pct REAL NOT NULL CHECK (share_pct > 0 AND share_pct <= 100),
  country TEXT NOT NULL DEFAULT '' CHECK (length(country) <= 80),
  region TEXT NOT NULL DEFAULT '' CHECK (length(region) <= 80),
  producer TEXT NOT NULL DEFAULT '' CHECK (length(producer) <= 80),
  variety TEXT NOT NULL DEFAULT '' CHECK (length(variety) <= 80),
  variety_class TEXT,
  process TEXT,
  altitude_m REAL CHECK (altitude_m BETWEEN 0 AND 3500),
  density_g_per_l REAL CHECK (density_g_per_l BETWEEN 500 AND 900),
  UNIQUE (release_id, position)
) STRICT;

CREATE TABLE batch (
  id TEXT PRIMARY KEY,
  release_id TEXT NOT NULL REFERENCES release (id) ON DELETE CASCADE,
  roast_date TEXT NOT NULL CHECK (roast_date GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  roast_level REAL CHECK (roast_level BETWEEN -2 AND 2)
) STRICT;
CREATE INDEX batch_by_release ON batch (release_id, roast_date);

-- One dial-in: one batch of a release on one setup in one brew style.
CREATE TABLE dial_in (
  id TEXT PRIMARY KEY,
  release_id TEXT NOT NULL REFERENCES release (id) ON DELETE CASCADE,
  batch_id TEXT NOT NULL REFERENCES batch (id),
  setup_id TEXT NOT NULL REFERENCES setup (id),
  style TEXT NOT NULL,
  started_at TEXT NOT NULL,
  UNIQUE (release_id, batch_id, setup_id, style)
) STRICT;

-- The recipe on the bench; a change is a new revision, so every shot keeps the target it was pulled for.
CREATE TABLE recipe_draft (
  id TEXT PRIMARY KEY,
  dial_in_id TEXT NOT NULL REFERENCES dial_in (id) ON DELETE CASCADE,
  revision INTEGER NOT NULL CHECK (revision >= 1),
  temperature_school TEXT NOT NULL,
  dose_g REAL NOT NULL CHECK (dose_g BETWEEN 3 AND 40),
  yield_g REAL NOT NULL CHECK (yield_g BETWEEN 2 AND 200),
  temperature_c REAL NOT NULL CHECK (temperature_c BETWEEN 60 AND 100),
  time_low_s REAL NOT NULL CHECK (time_low_s BETWEEN 1 AND 180),
  time_high_s REAL NOT NULL CHECK (time_high_s BETWEEN 1 AND 180),
  clock TEXT NOT NULL CHECK (clock IN ('pump', 'firstDrip')),
  programme TEXT NOT NULL CHECK (length(programme) <= 80),
  rest_from INTEGER NOT NULL CHECK (rest_from BETWEEN 0 AND 365),
  rest_to INTEGER NOT NULL CHECK (rest_to BETWEEN 0 AND 365),
  start_dial REAL NOT NULL,
  why TEXT NOT NULL DEFAULT '' CHECK (length(why) <= 400),
  -- What the model had proposed, kept so that an overruling can be seen later.
  proposed TEXT CHECK (proposed IS NULL OR json_valid(proposed)),
  created_at TEXT NOT NULL,
  created_by TEXT NOT NULL REFERENCES person (id),
  UNIQUE (dial_in_id, revision),
  CHECK (time_low_s <= time_high_s),
  CHECK (rest_from <= rest_to)
) STRICT;

CREATE TABLE shot (
  id TEXT PRIMARY KEY,
  recipe_draft_id TEXT NOT NULL REFERENCES recipe_draft (id) ON DELETE CASCADE,
  pulled_at TEXT NOT NULL,
  pulled_by TEXT NOT NULL REFERENCES person (id),
  dial REAL NOT NULL,
  dose_g REAL NOT NULL CHECK (dose_g BETWEEN 3 AND 40),
  aim_dose_g REAL CHECK (aim_dose_g BETWEEN 3 AND 40),
  yield_g REAL NOT NULL CHECK (yield_g BETWEEN 0 AND 200),
  time_s REAL NOT NULL CHECK (time_s BETWEEN 1 AND 180),
  first_drip_s REAL CHECK (first_drip_s BETWEEN 0 AND 120),
  clock TEXT NOT NULL CHECK (clock IN ('pump', 'firstDrip')),
  temperature_c REAL NOT NULL CHECK (temperature_c BETWEEN 60 AND 100),
  purged INTEGER NOT NULL CHECK (purged IN (0, 1)),
  purge_g REAL CHECK (purge_g BETWEEN 0 AND 40),
  rest_days INTEGER NOT NULL CHECK (rest_days BETWEEN 0 AND 365),
  seen TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(seen)),
  remark TEXT NOT NULL DEFAULT '' CHECK (length(remark) <= 500),
  tds_pct REAL CHECK (tds_pct BETWEEN 0 AND 30),
  removed_at TEXT
) STRICT;
CREATE INDEX shot_by_draft ON shot (recipe_draft_id, pulled_at);

CREATE TABLE tasting (
  id TEXT PRIMARY KEY,
  shot_id TEXT NOT NULL REFERENCES shot (id) ON DELETE CASCADE,
  tasted_at TEXT NOT NULL,
  tasted_by TEXT NOT NULL REFERENCES person (id),
  moment TEXT NOT NULL CHECK (moment IN ('hot', 'warm', 'cool')),
  serving TEXT NOT NULL CHECK (serving IN ('straight', 'milk', 'plantMilk')),
  scales TEXT NOT NULL CHECK (json_valid(scales)),
  notes_found TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(notes_found)),
  remark TEXT NOT NULL DEFAULT '' CHECK (length(remark) <= 500)
) STRICT;
CREATE INDEX tasting_by_shot ON tasting (shot_id, tasted_at);

CREATE TABLE recipe_version (
  id TEXT PRIMARY KEY,
  release_id TEXT NOT NULL REFERENCES release (id),
  number INTEGER NOT NULL CHECK (number >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  sha256 TEXT NOT NULL CHECK (length(sha256) = 64),
  published_at TEXT NOT NULL,
  published_by TEXT NOT NULL REFERENCES person (id),
  UNIQUE (release_id, number)
) STRICT;
CREATE INDEX recipe_version_by_hash ON recipe_version (sha256);

-- A published version never changes.
CREATE TRIGGER recipe_version_is_final BEFORE UPDATE ON recipe_version
BEGIN SELECT RAISE(ABORT, 'a published version never changes'); END;
CREATE TRIGGER recipe_version_stays BEFORE DELETE ON recipe_version
BEGIN SELECT RAISE(ABORT, 'a published version is never deleted'); END;

-- The public address of a release; its token cannot be guessed and stays the same over versions.
CREATE TABLE publication (
  release_id TEXT PRIMARY KEY REFERENCES release (id),
  token TEXT NOT NULL UNIQUE CHECK (length(token) >= 20),
  version_id TEXT NOT NULL REFERENCES recipe_version (id)
) STRICT;

-- Who did what when. The id is made by the client, so a repeated submission counts once.
CREATE TABLE event (
  id TEXT PRIMARY KEY,
  at TEXT NOT NULL,
  person_id TEXT REFERENCES person (id),
  release_id TEXT,
  kind TEXT NOT NULL,
  words TEXT NOT NULL,
  result TEXT NOT NULL CHECK (json_valid(result))
) STRICT;
CREATE INDEX event_by_release ON event (release_id, at);
CREATE TRIGGER event_is_final BEFORE UPDATE ON event
BEGIN SELECT RAISE(ABORT, 'the event log is append-only'); END;
CREATE TRIGGER event_stays BEFORE DELETE ON event
BEGIN SELECT RAISE(ABORT, 'the event log is append-only'); END;
