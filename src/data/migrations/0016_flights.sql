-- A blind flight: things to compare, their cups under codes, and who tastes them.
CREATE TABLE flight (
  id TEXT PRIMARY KEY,
  release_id TEXT NOT NULL REFERENCES release (id) ON DELETE CASCADE,
  test TEXT NOT NULL CHECK (test IN ('paired', 'triangle', 'ranking', 'scored')),
  question TEXT NOT NULL CHECK (length(question) BETWEEN 1 AND 80),
  arms TEXT NOT NULL CHECK (json_valid(arms)),
  places INTEGER NOT NULL CHECK (places BETWEEN 1 AND 30),
  seed INTEGER NOT NULL,
  asks_likeness INTEGER NOT NULL CHECK (asks_likeness IN (0, 1)),
  -- Opens the cup sheets of this flight on a phone, until it expires.
  code TEXT NOT NULL UNIQUE CHECK (length(code) = 8),
  expires_at TEXT NOT NULL,
  made_at TEXT NOT NULL,
  made_by TEXT NOT NULL REFERENCES person (id),
  revealed_at TEXT,
  -- The thing that was decided for, from 0; and why, or why none.
  chosen_arm INTEGER,
  decision TEXT CHECK (decision IS NULL OR length(decision) <= 400),
  removed_at TEXT
) STRICT;
CREATE INDEX flight_by_release ON flight (release_id, made_at);

CREATE TABLE flight_cup (
  flight_id TEXT NOT NULL REFERENCES flight (id) ON DELETE CASCADE,
  code TEXT NOT NULL CHECK (length(code) = 3),
  arm INTEGER NOT NULL CHECK (arm >= 0),
  position INTEGER NOT NULL CHECK (position >= 0),
  -- A cup from elsewhere has none.
  shot_id TEXT REFERENCES shot (id) ON DELETE CASCADE,
  poured_at TEXT,
  PRIMARY KEY (flight_id, code)
) STRICT, WITHOUT ROWID;
CREATE INDEX flight_cup_by_shot ON flight_cup (shot_id) WHERE shot_id IS NOT NULL;

-- People of the flight; of the house only where `person_id` says so.
CREATE TABLE flight_taster (
  id TEXT PRIMARY KEY,
  flight_id TEXT NOT NULL REFERENCES flight (id) ON DELETE CASCADE,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  name_key TEXT NOT NULL,
  person_id TEXT REFERENCES person (id),
  place INTEGER NOT NULL CHECK (place >= 0),
  -- Of the phone that holds the place; none once it was freed.
  device_hash TEXT,
  joined_at TEXT NOT NULL,
  answer TEXT CHECK (answer IS NULL OR json_valid(answer)),
  answered_at TEXT,
  UNIQUE (flight_id, place),
  UNIQUE (flight_id, name_key)
) STRICT;

-- What a taster made of a cup at a moment; after the reveal it is kept apart.
CREATE TABLE flight_sheet (
  id TEXT PRIMARY KEY,
  taster_id TEXT NOT NULL REFERENCES flight_taster (id) ON DELETE CASCADE,
  code TEXT NOT NULL CHECK (length(code) = 3),
  moment TEXT NOT NULL CHECK (moment IN ('hot', 'warm', 'cool')),
  scales TEXT NOT NULL CHECK (json_valid(scales)),
  notes_found TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(notes_found)),
  remark TEXT NOT NULL DEFAULT '' CHECK (length(remark) <= 500),
  likeness TEXT CHECK (likeness IN ('first', 'middle', 'last')),
  tasted_at TEXT NOT NULL,
  is_late INTEGER NOT NULL CHECK (is_late IN (0, 1)),
  UNIQUE (taster_id, code, moment, is_late)
) STRICT;

-- A cup tasted blind. A guest's stands under whoever revealed the flight, with the guest's name.
ALTER TABLE tasting ADD COLUMN flight_id TEXT REFERENCES flight (id);
ALTER TABLE tasting ADD COLUMN guest TEXT CHECK (guest IS NULL OR length(guest) BETWEEN 1 AND 80);

-- How far off a cup may be before it loses .3 points, and what cafés lose: from blind cups.
ALTER TABLE recipe_draft ADD COLUMN holds_yield_g REAL CHECK (holds_yield_g BETWEEN 0 AND 60);
ALTER TABLE recipe_draft ADD COLUMN holds_temperature_c REAL CHECK (holds_temperature_c BETWEEN 0 AND 20);
ALTER TABLE recipe_draft ADD COLUMN holds_time_s REAL CHECK (holds_time_s BETWEEN 0 AND 90);
ALTER TABLE recipe_draft ADD COLUMN cost_points REAL CHECK (cost_points BETWEEN 0 AND 10);

-- What the cups of a decided recipe teach, kept until those cups are other ones.
CREATE TABLE taste_site (
  release_id TEXT PRIMARY KEY REFERENCES release (id) ON DELETE CASCADE,
  -- Of the cups it was worked out from.
  signature TEXT NOT NULL,
  -- NULL where the cups leave a direction open that the recipe tells.
  site TEXT CHECK (site IS NULL OR json_valid(site))
) STRICT;

-- A coffee may have a second recipe for milk drinks, on the same grinder and bench.
ALTER TABLE recipe_draft ADD COLUMN drink TEXT NOT NULL DEFAULT 'straight' CHECK (drink IN ('straight', 'milk'));

-- What the trial of a release may change, and what it may take; nothing said is nothing bound.
CREATE TABLE trial (
  release_id TEXT PRIMARY KEY REFERENCES release (id) ON DELETE CASCADE,
  yield_from_g REAL CHECK (yield_from_g BETWEEN 2 AND 200),
  yield_to_g REAL CHECK (yield_to_g BETWEEN 2 AND 200),
  temperature_from_c REAL CHECK (temperature_from_c BETWEEN 60 AND 100),
  temperature_to_c REAL CHECK (temperature_to_c BETWEEN 60 AND 100),
  time_from_s REAL CHECK (time_from_s BETWEEN 1 AND 180),
  time_to_s REAL CHECK (time_to_s BETWEEN 1 AND 180),
  most_recipes INTEGER CHECK (most_recipes BETWEEN 1 AND 60),
  keep_g REAL CHECK (keep_g BETWEEN 0 AND 100000),
  row_version INTEGER NOT NULL DEFAULT 1,
  set_at TEXT NOT NULL,
  set_by TEXT NOT NULL REFERENCES person (id),
  CHECK (yield_from_g <= yield_to_g),
  CHECK (temperature_from_c <= temperature_to_c),
  CHECK (time_from_s <= time_to_s)
) STRICT;
