-- Cafés that brew by the house's cards. Whoever has the secret of one writes its checks.
CREATE TABLE partner (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  people TEXT NOT NULL DEFAULT '' CHECK (length(people) <= 200),
  town TEXT NOT NULL CHECK (length(town) BETWEEN 1 AND 40),
  time_zone TEXT NOT NULL DEFAULT '' CHECK (length(time_zone) <= 40),
  language TEXT NOT NULL DEFAULT 'en' CHECK (language IN ('en', 'de', 'fr', 'it', 'es', 'pt')),
  heat_unit TEXT NOT NULL DEFAULT 'c' CHECK (heat_unit IN ('c', 'f')),
  check_times TEXT NOT NULL DEFAULT '' CHECK (length(check_times) <= 200),
  closed_weekdays TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(closed_weekdays)),
  machine TEXT NOT NULL DEFAULT '' CHECK (length(machine) <= 80),
  fixed_temperature_c REAL CHECK (fixed_temperature_c BETWEEN 60 AND 100),
  flush_s REAL CHECK (flush_s BETWEEN 0 AND 30),
  overrun_g REAL CHECK (overrun_g BETWEEN 0 AND 20),
  can_shape INTEGER NOT NULL DEFAULT 0 CHECK (can_shape IN (0, 1)),
  grinder TEXT NOT NULL DEFAULT '' CHECK (length(grinder) <= 80),
  finer_is TEXT NOT NULL DEFAULT 'lower' CHECK (finer_is IN ('lower', 'higher')),
  notation TEXT NOT NULL DEFAULT 'numbers' CHECK (notation IN ('numbers', 'turns', 'letters', 'marks')),
  divisions INTEGER CHECK (divisions BETWEEN 2 AND 200),
  dial_min REAL NOT NULL DEFAULT 0 CHECK (dial_min BETWEEN -1000 AND 10000),
  dial_max REAL NOT NULL DEFAULT 50 CHECK (dial_max BETWEEN -1000 AND 10000),
  step_size REAL NOT NULL DEFAULT 1 CHECK (step_size BETWEEN 0.01 AND 100),
  diameter_mm REAL NOT NULL DEFAULT 58 CHECK (diameter_mm BETWEEN 35 AND 64),
  rated_g REAL NOT NULL DEFAULT 18 CHECK (rated_g BETWEEN 5 AND 30),
  clock TEXT NOT NULL DEFAULT 'pump' CHECK (clock IN ('pump', 'firstDrip')),
  water_hardness_mg_l REAL CHECK (water_hardness_mg_l BETWEEN 0 AND 500),
  water TEXT NOT NULL DEFAULT '' CHECK (length(water) <= 200),
  -- Of its link; none where it was revoked.
  secret TEXT UNIQUE CHECK (secret IS NULL OR length(secret) >= 20),
  -- A whole extra round of checks was asked of it, and not made yet.
  round_asked_at TEXT,
  made_at TEXT NOT NULL,
  made_by TEXT NOT NULL REFERENCES person (id),
  row_version INTEGER NOT NULL DEFAULT 1,
  removed_at TEXT
) STRICT;

CREATE TABLE partner_coffee (
  partner_id TEXT NOT NULL REFERENCES partner (id) ON DELETE CASCADE,
  release_id TEXT NOT NULL REFERENCES release (id) ON DELETE CASCADE,
  since TEXT NOT NULL,
  until TEXT,
  PRIMARY KEY (partner_id, release_id)
) STRICT;
CREATE INDEX partner_coffee_by_release ON partner_coffee (release_id);

-- What was sent in one go.
CREATE TABLE field_visit (
  id TEXT PRIMARY KEY,
  partner_id TEXT NOT NULL REFERENCES partner (id) ON DELETE CASCADE,
  visited_at TEXT NOT NULL,
  received_at TEXT NOT NULL,
  -- The phone's own clock could not be believed: dated when it arrived.
  is_dated_here INTEGER NOT NULL DEFAULT 0 CHECK (is_dated_here IN (0, 1)),
  -- Somebody of the house wrote it down for them.
  entered_by TEXT REFERENCES person (id),
  help TEXT NOT NULL DEFAULT '' CHECK (length(help) <= 400),
  help_settled_at TEXT,
  help_settled_by TEXT REFERENCES person (id)
) STRICT;
CREATE INDEX field_visit_by_partner ON field_visit (partner_id, visited_at);
CREATE INDEX field_visit_by_time ON field_visit (visited_at);

CREATE TABLE field_check (
  id TEXT PRIMARY KEY,
  visit_id TEXT NOT NULL REFERENCES field_visit (id) ON DELETE CASCADE,
  release_id TEXT NOT NULL REFERENCES release (id) ON DELETE CASCADE,
  version_number INTEGER NOT NULL CHECK (version_number >= 1),
  roast_date TEXT CHECK (roast_date GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  dose_g REAL NOT NULL CHECK (dose_g BETWEEN 3 AND 40),
  yield_g REAL NOT NULL CHECK (yield_g BETWEEN 0 AND 200),
  time_s REAL NOT NULL CHECK (time_s BETWEEN 1 AND 180),
  dial REAL CHECK (dial BETWEEN -1000 AND 10000),
  shots INTEGER NOT NULL DEFAULT 1 CHECK (shots BETWEEN 1 AND 10),
  taste TEXT CHECK (taste IN ('fine', 'sour', 'bitter', 'weak', 'uneven')),
  remark TEXT NOT NULL DEFAULT '' CHECK (length(remark) <= 400),
  -- The recipe it was judged by, fitted to the café, on its clock.
  target_dose_g REAL NOT NULL,
  target_yield_g REAL NOT NULL,
  target_from_s REAL NOT NULL,
  target_to_s REAL NOT NULL,
  clock TEXT NOT NULL CHECK (clock IN ('pump', 'firstDrip')),
  removed_at TEXT
) STRICT;
CREATE INDEX field_check_by_visit ON field_check (visit_id);
CREATE INDEX field_check_by_release ON field_check (release_id);

-- What the model has opened, kept or withdrawn. Days are of the café's own clock, since 1 Jan 1970.
CREATE TABLE field_alarm (
  partner_id TEXT NOT NULL REFERENCES partner (id) ON DELETE CASCADE,
  opened_day REAL NOT NULL,
  release_id TEXT REFERENCES release (id) ON DELETE CASCADE,
  from_day REAL NOT NULL,
  state TEXT NOT NULL CHECK (state IN ('open', 'kept', 'withdrawn')),
  probability REAL NOT NULL,
  size REAL NOT NULL,
  sd REAL NOT NULL,
  PRIMARY KEY (partner_id, opened_day)
) STRICT;

-- What one step of a café's grinder does, as full windows of checks taught it.
CREATE TABLE field_slope (
  partner_id TEXT PRIMARY KEY REFERENCES partner (id) ON DELETE CASCADE,
  mean REAL NOT NULL,
  sd REAL NOT NULL CHECK (sd > 0),
  since_day REAL NOT NULL,
  first_day REAL NOT NULL
) STRICT;

-- Up to which visit, by its row, the above has been worked out.
CREATE TABLE field_judged (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  visit INTEGER NOT NULL
) STRICT;

-- What was found when a signal was looked into.
CREATE TABLE field_settled (
  signal TEXT PRIMARY KEY CHECK (length(signal) <= 200),
  cause TEXT NOT NULL CHECK (cause IN ('scale', 'machine', 'grinder', 'burrs', 'habit', 'batch', 'weather', 'none', 'answered')),
  note TEXT NOT NULL DEFAULT '' CHECK (length(note) <= 400),
  settled_at TEXT NOT NULL,
  settled_by TEXT NOT NULL REFERENCES person (id)
) STRICT;

-- Messages to one café, beside those to all partners and to the team.
CREATE TABLE outbox_message_new (
  id TEXT PRIMARY KEY,
  release_id TEXT NOT NULL REFERENCES release (id) ON DELETE CASCADE,
  version_number INTEGER NOT NULL CHECK (version_number >= 1),
  audience TEXT NOT NULL CHECK (audience IN ('partners', 'team', 'partner')),
  partner_id TEXT REFERENCES partner (id) ON DELETE CASCADE,
  subject TEXT NOT NULL CHECK (length(subject) BETWEEN 1 AND 200),
  body TEXT NOT NULL CHECK (length(body) BETWEEN 1 AND 4000),
  made_at TEXT NOT NULL,
  made_by TEXT NOT NULL REFERENCES person (id),
  row_version INTEGER NOT NULL DEFAULT 1,
  filed_at TEXT,
  filed_by TEXT REFERENCES person (id),
  CHECK ((audience = 'partner') = (partner_id IS NOT NULL))
) STRICT;
INSERT INTO outbox_message_new (id, release_id, version_number, audience, subject, body, made_at, made_by,
  row_version, filed_at, filed_by)
SELECT id, release_id, version_number, audience, subject, body, made_at, made_by, row_version, filed_at, filed_by
FROM outbox_message;
DROP TABLE outbox_message;
ALTER TABLE outbox_message_new RENAME TO outbox_message;
CREATE INDEX outbox_message_by_time ON outbox_message (made_at);
CREATE INDEX outbox_message_by_release ON outbox_message (release_id, version_number);
CREATE INDEX outbox_message_by_partner ON outbox_message (partner_id, made_at);
