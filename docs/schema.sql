-- The database as all migrations leave it. Made by `npm run schema`; a test keeps it true.

CREATE TABLE backup (
  id INTEGER PRIMARY KEY,
  at TEXT NOT NULL,
  file TEXT NOT NULL,
  bytes INTEGER NOT NULL,
  -- What went wrong, in words; empty for a good one.
  fault TEXT NOT NULL
) STRICT;

CREATE INDEX backup_by_time ON backup (at) WHERE fault = '';

CREATE TABLE basket (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  diameter_mm REAL NOT NULL CHECK (diameter_mm BETWEEN 35 AND 64),
  rated_g REAL NOT NULL CHECK (rated_g BETWEEN 5 AND 30)
, row_version INTEGER NOT NULL DEFAULT 1, pressurised INTEGER NOT NULL DEFAULT 0 CHECK (pressurised IN (0, 1)), removed_at TEXT, depth_mm REAL CHECK (depth_mm BETWEEN 10 AND 60)) STRICT;

CREATE TABLE batch (
  id TEXT PRIMARY KEY,
  release_id TEXT NOT NULL REFERENCES release (id) ON DELETE CASCADE,
  roast_date TEXT NOT NULL CHECK (roast_date GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  roast_level REAL CHECK (roast_level BETWEEN -2 AND 2)
, row_version INTEGER NOT NULL DEFAULT 1, label TEXT NOT NULL DEFAULT '' CHECK (length(label) <= 40), colour_bean REAL CHECK (colour_bean BETWEEN 0 AND 200), colour_ground REAL CHECK (colour_ground BETWEEN 0 AND 200), weight_loss_pct REAL CHECK (weight_loss_pct BETWEEN 5 AND 30), sample_g REAL CHECK (sample_g BETWEEN 0 AND 100000), removed_at TEXT, crush TEXT CHECK (crush IN ('resists', 'cracks', 'crumbles')), shares_pct TEXT NOT NULL DEFAULT '' CHECK (length(shares_pct) <= 80), open_sample_id TEXT REFERENCES sample (id), created_at TEXT NOT NULL DEFAULT '') STRICT;

CREATE INDEX batch_by_release ON batch (release_id, roast_date);

CREATE TABLE bench (
  release_id TEXT PRIMARY KEY REFERENCES release (id) ON DELETE CASCADE,
  draft_id TEXT NOT NULL REFERENCES recipe_draft (id) ON DELETE CASCADE
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
  density_g_per_l REAL CHECK (density_g_per_l BETWEEN 500 AND 900), moisture_pct REAL CHECK (moisture_pct BETWEEN 5 AND 20), altitude_to_m REAL CHECK (altitude_to_m BETWEEN 0 AND 3500), harvest TEXT NOT NULL DEFAULT '' CHECK (length(harvest) <= 40), lot TEXT NOT NULL DEFAULT '' CHECK (length(lot) <= 40), certification TEXT NOT NULL DEFAULT '' CHECK (length(certification) <= 80), cup_score REAL CHECK (cup_score BETWEEN 0 AND 100),
  UNIQUE (release_id, position)
) STRICT;

CREATE TABLE dial_in (
  id TEXT PRIMARY KEY,
  release_id TEXT NOT NULL REFERENCES release (id) ON DELETE CASCADE,
  batch_id TEXT NOT NULL REFERENCES batch (id),
  setup_id TEXT NOT NULL REFERENCES setup (id),
  style TEXT NOT NULL,
  started_at TEXT NOT NULL,
  UNIQUE (release_id, batch_id, setup_id, style)
) STRICT;

CREATE INDEX dial_in_by_batch ON dial_in (batch_id);

CREATE INDEX dial_in_by_setup ON dial_in (setup_id);

CREATE INDEX dial_in_by_start ON dial_in (started_at);

CREATE TABLE door_log (
  id INTEGER PRIMARY KEY,
  at TEXT NOT NULL,
  person_id TEXT REFERENCES person (id),
  kind TEXT NOT NULL,
  words TEXT NOT NULL CHECK (length(words) <= 200),
  source TEXT NOT NULL CHECK (length(source) <= 120)
) STRICT;

CREATE TABLE edit (
  id TEXT NOT NULL,
  what TEXT NOT NULL,
  row_id TEXT NOT NULL,
  -- Version of the row the edit made.
  made_version INTEGER NOT NULL,
  before TEXT NOT NULL CHECK (json_valid(before)),
  PRIMARY KEY (id, what, row_id)
) STRICT;

CREATE TABLE epoch (
  topic TEXT PRIMARY KEY,
  n INTEGER NOT NULL
) STRICT;

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

CREATE INDEX field_check_by_release ON field_check (release_id);

CREATE INDEX field_check_by_visit ON field_check (visit_id);

CREATE TABLE field_judged (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  visit INTEGER NOT NULL
) STRICT;

CREATE TABLE field_settled (
  signal TEXT PRIMARY KEY CHECK (length(signal) <= 200),
  cause TEXT NOT NULL CHECK (cause IN ('scale', 'machine', 'grinder', 'burrs', 'habit', 'batch', 'weather', 'none', 'answered')),
  note TEXT NOT NULL DEFAULT '' CHECK (length(note) <= 400),
  settled_at TEXT NOT NULL,
  settled_by TEXT NOT NULL REFERENCES person (id)
) STRICT;

CREATE TABLE field_slope (
  partner_id TEXT PRIMARY KEY REFERENCES partner (id) ON DELETE CASCADE,
  mean REAL NOT NULL,
  sd REAL NOT NULL CHECK (sd > 0),
  since_day REAL NOT NULL,
  first_day REAL NOT NULL
) STRICT;

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

CREATE TABLE findable (
  id INTEGER PRIMARY KEY,
  -- NULL for what belongs to no release.
  release_id TEXT,
  kind TEXT NOT NULL,
  row_id TEXT NOT NULL,
  -- Where it stands, as it is shown beside what was found.
  place TEXT NOT NULL,
  text TEXT NOT NULL
) STRICT;

CREATE INDEX findable_by_release ON findable (release_id);

CREATE TRIGGER findable_in AFTER INSERT ON findable
BEGIN INSERT INTO found (rowid, text) VALUES (NEW.id, NEW.text); END;

CREATE TRIGGER findable_out AFTER DELETE ON findable
BEGIN INSERT INTO found (found, rowid, text) VALUES ('delete', OLD.id, OLD.text); END;

CREATE TABLE findable_state (id INTEGER PRIMARY KEY CHECK (id = 1), event INTEGER NOT NULL) STRICT;

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

CREATE VIRTUAL TABLE found USING fts5 (
  text, content = 'findable', content_rowid = 'id', tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3'
);

CREATE TABLE 'found_config'(k PRIMARY KEY, v) WITHOUT ROWID;

CREATE TABLE 'found_data'(id INTEGER PRIMARY KEY, block BLOB);

CREATE TABLE 'found_docsize'(id INTEGER PRIMARY KEY, sz BLOB);

CREATE TABLE 'found_idx'(segid, term, pgno, PRIMARY KEY(segid, term)) WITHOUT ROWID;

CREATE TABLE gate_pass (
  version_id TEXT NOT NULL REFERENCES recipe_version (id),
  gate TEXT NOT NULL CHECK (gate IN ('confirmed', 'tasted', 'rested')),
  reason TEXT NOT NULL CHECK (length(reason) BETWEEN 1 AND 400),
  PRIMARY KEY (version_id, gate)
) STRICT;

CREATE TRIGGER gate_pass_is_final BEFORE UPDATE ON gate_pass
BEGIN SELECT RAISE(ABORT, 'the reason for passing a gate never changes'); END;

CREATE TRIGGER gate_pass_stays BEFORE DELETE ON gate_pass
BEGIN SELECT RAISE(ABORT, 'the reason for passing a gate is kept'); END;

CREATE TABLE grinder (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  step_size REAL NOT NULL CHECK (step_size > 0),
  finer_is TEXT NOT NULL CHECK (finer_is IN ('lower', 'higher')),
  dial_min REAL NOT NULL,
  dial_max REAL NOT NULL,
  retention_g REAL NOT NULL CHECK (retention_g BETWEEN 0 AND 60),
  um_per_step REAL CHECK (um_per_step > 0), row_version INTEGER NOT NULL DEFAULT 1, seconds_per_step REAL CHECK (seconds_per_step BETWEEN 0.1 AND 20), removed_at TEXT, stepless INTEGER NOT NULL DEFAULT 0 CHECK (stepless IN (0, 1)), chokes_at REAL, seconds_per_step_half80 REAL CHECK (seconds_per_step_half80 BETWEEN 0 AND 20), reference_dial REAL, notation TEXT NOT NULL DEFAULT 'numbers' CHECK (notation IN ('numbers', 'turns', 'letters', 'marks')), divisions REAL CHECK (divisions BETWEEN 2 AND 200),
  CHECK (dial_min < dial_max)
) STRICT;

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

CREATE TABLE house (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  brew_style TEXT NOT NULL DEFAULT 'classic',
  temperature_school TEXT NOT NULL DEFAULT 'both',
  rest_school TEXT NOT NULL DEFAULT 'byRoast',
  clock TEXT NOT NULL DEFAULT 'pump' CHECK (clock IN ('pump', 'firstDrip')),
  dose_tolerance_g REAL NOT NULL DEFAULT 0.2 CHECK (dose_tolerance_g BETWEEN 0.05 AND 2),
  yield_tolerance_g REAL NOT NULL DEFAULT 1 CHECK (yield_tolerance_g BETWEEN 0.1 AND 10),
  taste_first INTEGER NOT NULL DEFAULT 0 CHECK (taste_first IN (0, 1)),
  created_at TEXT NOT NULL
, row_version INTEGER NOT NULL DEFAULT 1, currency TEXT NOT NULL DEFAULT 'EUR' CHECK (length(currency) = 3), coffee_price_per_kg REAL CHECK (coffee_price_per_kg BETWEEN 0 AND 10000), closed_weekdays TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(closed_weekdays)), closed_dates TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(closed_dates)), roast_map TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(roast_map)), public_address TEXT NOT NULL DEFAULT '' CHECK (length(public_address) <= 200), rules TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(rules)), half_life INTEGER DEFAULT 50 CHECK (half_life BETWEEN 5 AND 1000), backup_folder TEXT NOT NULL DEFAULT '' CHECK (length(backup_folder) <= 200), backup_days INTEGER NOT NULL DEFAULT 7 CHECK (backup_days BETWEEN 1 AND 60), backup_weeks INTEGER NOT NULL DEFAULT 8 CHECK (backup_weeks BETWEEN 0 AND 200), dose_school TEXT NOT NULL DEFAULT 'locked', proof_goal_pct REAL NOT NULL DEFAULT 85 CHECK (proof_goal_pct BETWEEN 80 AND 90), least_liking REAL NOT NULL DEFAULT 6 CHECK (least_liking BETWEEN 0 AND 10), headspace TEXT NOT NULL DEFAULT 'toRating', crema_g_per_ml REAL NOT NULL DEFAULT 0.75 CHECK (crema_g_per_ml BETWEEN 0.5 AND 1), time_zone TEXT NOT NULL DEFAULT '' CHECK (length(time_zone) <= 40), tds_from_pct REAL CHECK (tds_from_pct BETWEEN 0 AND 30), tds_to_pct REAL CHECK (tds_to_pct BETWEEN 0 AND 30), extraction_from_pct REAL CHECK (extraction_from_pct BETWEEN 5 AND 40), extraction_to_pct REAL CHECK (extraction_to_pct BETWEEN 5 AND 40), water_hardness_mg_l REAL CHECK (water_hardness_mg_l BETWEEN 0 AND 500), water_alkalinity_mg_l REAL CHECK (water_alkalinity_mg_l BETWEEN 0 AND 500), card_language TEXT NOT NULL DEFAULT 'en', drinks TEXT NOT NULL DEFAULT
  '[{"name":"Espresso","cupMl":80,"shots":1,"fill":"none"},{"name":"Cappuccino","cupMl":180,"shots":1,"fill":"milk"},{"name":"Long black","cupMl":200,"shots":1,"fill":"water"}]'
  CHECK (json_valid(drinks)), site_folder TEXT NOT NULL DEFAULT '' CHECK (length(site_folder) <= 200), calendar_secret TEXT CHECK (calendar_secret IS NULL OR length(calendar_secret) >= 20), taste_levers TEXT NOT NULL DEFAULT 'bySize' CHECK (length(taste_levers) BETWEEN 1 AND 40)) STRICT;

CREATE TABLE invitation (
  id TEXT PRIMARY KEY,
  token_hash TEXT NOT NULL UNIQUE CHECK (length(token_hash) = 64),
  role TEXT NOT NULL CHECK (role IN ('lead', 'bench', 'reader')),
  for_whom TEXT NOT NULL CHECK (length(for_whom) BETWEEN 1 AND 80),
  -- Set when the link gives someone who works here a new sign-in.
  person_id TEXT REFERENCES person (id),
  created_at TEXT NOT NULL,
  created_by TEXT NOT NULL REFERENCES person (id),
  expires_at TEXT NOT NULL,
  used_at TEXT,
  removed_at TEXT
) STRICT;

CREATE TABLE known_browser (
  token_hash TEXT NOT NULL,
  person_id TEXT NOT NULL REFERENCES person (id),
  used_at TEXT NOT NULL,
  PRIMARY KEY (token_hash, person_id)
) STRICT, WITHOUT ROWID;

CREATE TABLE machine (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  settable_temperature INTEGER NOT NULL CHECK (settable_temperature IN (0, 1)),
  fixed_temperature_c REAL CHECK (fixed_temperature_c BETWEEN 60 AND 100),
  pressure_control INTEGER NOT NULL CHECK (pressure_control IN (0, 1))
, row_version INTEGER NOT NULL DEFAULT 1, display_offset_c REAL CHECK (display_offset_c BETWEEN -15 AND 15), flow_control INTEGER NOT NULL DEFAULT 0 CHECK (flow_control IN (0, 1)), preinfusion INTEGER NOT NULL DEFAULT 0 CHECK (preinfusion IN (0, 1)), removed_at TEXT, boiler TEXT CHECK (boiler IN ('single', 'heatExchanger', 'dual', 'thermoblock')), flush_s REAL CHECK (flush_s BETWEEN 0 AND 30), overrun_g REAL CHECK (overrun_g BETWEEN 0 AND 20)) STRICT;

CREATE TABLE "outbox_message" (
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

CREATE INDEX outbox_message_by_partner ON outbox_message (partner_id, made_at);

CREATE INDEX outbox_message_by_release ON outbox_message (release_id, version_number);

CREATE INDEX outbox_message_by_time ON outbox_message (made_at);

CREATE TABLE partner (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  people TEXT NOT NULL DEFAULT '' CHECK (length(people) <= 200),
  town TEXT NOT NULL CHECK (length(town) BETWEEN 1 AND 40),
  time_zone TEXT NOT NULL DEFAULT '' CHECK (length(time_zone) <= 40),
  language TEXT NOT NULL DEFAULT 'en',
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
, stepless INTEGER NOT NULL DEFAULT 0 CHECK (stepless IN (0, 1))) STRICT;

CREATE TABLE partner_coffee (
  partner_id TEXT NOT NULL REFERENCES partner (id) ON DELETE CASCADE,
  release_id TEXT NOT NULL REFERENCES release (id) ON DELETE CASCADE,
  since TEXT NOT NULL,
  until TEXT,
  PRIMARY KEY (partner_id, release_id)
) STRICT;

CREATE INDEX partner_coffee_by_release ON partner_coffee (release_id);

CREATE TABLE person (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  role TEXT NOT NULL CHECK (role IN ('lead', 'bench', 'reader')),
  created_at TEXT NOT NULL
, sign_in_name TEXT CHECK (length(sign_in_name) BETWEEN 1 AND 80), password_hash TEXT, temperature_unit TEXT NOT NULL DEFAULT 'C' CHECK (temperature_unit IN ('C', 'F')), removed_at TEXT, volume_unit TEXT NOT NULL DEFAULT 'ml' CHECK (volume_unit IN ('ml', 'flOz'))) STRICT;

CREATE UNIQUE INDEX person_by_sign_in_name ON person (sign_in_name COLLATE NOCASE);

CREATE UNIQUE INDEX person_name ON person (name COLLATE NOCASE) WHERE removed_at IS NULL;

CREATE TABLE planned_publication (
  release_id TEXT PRIMARY KEY REFERENCES release (id) ON DELETE CASCADE,
  on_day TEXT NOT NULL CHECK (on_day GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  card TEXT NOT NULL CHECK (json_valid(card)),
  planned_at TEXT NOT NULL,
  planned_by TEXT NOT NULL REFERENCES person (id),
  -- Why it did not go out when its day came.
  held_because TEXT
) STRICT;

CREATE TABLE printed_paper (
  id TEXT PRIMARY KEY,
  release_id TEXT NOT NULL REFERENCES release (id) ON DELETE CASCADE,
  version_number INTEGER NOT NULL CHECK (version_number >= 1),
  paper TEXT NOT NULL CHECK (paper IN ('card', 'bag', 'label', 'sheet')),
  copies INTEGER NOT NULL CHECK (copies BETWEEN 1 AND 10000),
  printed_at TEXT NOT NULL,
  printed_by TEXT NOT NULL REFERENCES person (id)
) STRICT;

CREATE INDEX printed_paper_by_release ON printed_paper (release_id, version_number);

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

CREATE TABLE publication (
  release_id TEXT PRIMARY KEY REFERENCES release (id),
  token TEXT NOT NULL UNIQUE CHECK (length(token) >= 20),
  version_id TEXT NOT NULL REFERENCES recipe_version (id)
, withdrawn_at TEXT, withdrawn_why TEXT CHECK (length(withdrawn_why) <= 400), teaches INTEGER NOT NULL DEFAULT 1 CHECK (teaches IN (0, 1))) STRICT;

CREATE TABLE reader_remark (
  id TEXT PRIMARY KEY,
  release_id TEXT NOT NULL REFERENCES release (id) ON DELETE CASCADE,
  version_number INTEGER NOT NULL CHECK (version_number >= 1),
  language TEXT NOT NULL CHECK (length(language) = 2),
  words TEXT NOT NULL CHECK (length(words) BETWEEN 1 AND 400),
  said_at TEXT NOT NULL,
  settled_at TEXT,
  settled_by TEXT REFERENCES person (id)
) STRICT;

CREATE INDEX reader_remark_by_release ON reader_remark (release_id, said_at);

CREATE INDEX reader_remark_by_time ON reader_remark (said_at);

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
  created_by TEXT NOT NULL REFERENCES person (id), decided_on TEXT
  CHECK (decided_on GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'), dial_known INTEGER NOT NULL DEFAULT 1 CHECK (dial_known IN (0, 1)), steps TEXT CHECK (steps IS NULL OR json_valid(steps)), carried_from TEXT REFERENCES recipe_draft (id), holds_yield_g REAL CHECK (holds_yield_g BETWEEN 0 AND 60), holds_temperature_c REAL CHECK (holds_temperature_c BETWEEN 0 AND 20), holds_time_s REAL CHECK (holds_time_s BETWEEN 0 AND 90), cost_points REAL CHECK (cost_points BETWEEN 0 AND 10), drink TEXT NOT NULL DEFAULT 'straight' CHECK (drink IN ('straight', 'milk')),
  UNIQUE (dial_in_id, revision),
  CHECK (time_low_s <= time_high_s),
  CHECK (rest_from <= rest_to)
) STRICT;

CREATE INDEX recipe_draft_decided ON recipe_draft (decided_on) WHERE decided_on IS NOT NULL;

CREATE TABLE recipe_version (
  id TEXT PRIMARY KEY,
  release_id TEXT NOT NULL REFERENCES release (id),
  number INTEGER NOT NULL CHECK (number >= 1),
  document TEXT NOT NULL CHECK (json_valid(document)),
  sha256 TEXT NOT NULL CHECK (length(sha256) = 64),
  published_at TEXT NOT NULL,
  published_by TEXT NOT NULL REFERENCES person (id), draft_id TEXT REFERENCES recipe_draft (id),
  UNIQUE (release_id, number)
) STRICT;

CREATE INDEX recipe_version_by_draft ON recipe_version (draft_id);

CREATE INDEX recipe_version_by_hash ON recipe_version (sha256);

CREATE TRIGGER recipe_version_is_final BEFORE UPDATE ON recipe_version
BEGIN SELECT RAISE(ABORT, 'a published version never changes'); END;

CREATE TRIGGER recipe_version_stays BEFORE DELETE ON recipe_version
BEGIN SELECT RAISE(ABORT, 'a published version is never deleted'); END;

CREATE TABLE release (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  promised_notes TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(promised_notes)),
  row_version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  created_by TEXT NOT NULL REFERENCES person (id)
, serving TEXT NOT NULL DEFAULT 'both' CHECK (serving IN ('straight', 'milk', 'both')), removed_at TEXT, price_per_kg REAL CHECK (price_per_kg BETWEEN 0 AND 10000), suggested_recipe TEXT NOT NULL DEFAULT '' CHECK (length(suggested_recipe) <= 400), contains TEXT NOT NULL DEFAULT '' CHECK (length(contains) <= 400), story TEXT NOT NULL DEFAULT '' CHECK (length(story) <= 2000), free_notes TEXT NOT NULL DEFAULT '' CHECK (length(free_notes) <= 2000), dose_school TEXT, is_archived INTEGER NOT NULL DEFAULT 0 CHECK (is_archived IN (0, 1)), tags TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(tags)), rest_opens INTEGER CHECK (rest_opens BETWEEN 0 AND 365), rest_best_from INTEGER CHECK (rest_best_from BETWEEN 0 AND 365), rest_best_to INTEGER CHECK (rest_best_to BETWEEN 0 AND 365), rest_fades INTEGER CHECK (rest_fades BETWEEN 0 AND 365)) STRICT;

CREATE INDEX release_by_name ON release (name COLLATE NOCASE);

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

CREATE TABLE session (
  -- Names it in a list; no secret.
  id TEXT PRIMARY KEY,
  token_hash TEXT NOT NULL UNIQUE,
  person_id TEXT NOT NULL REFERENCES person (id),
  made_at TEXT NOT NULL,
  used_at TEXT NOT NULL,
  -- When its person last gave the password.
  proved_at TEXT NOT NULL,
  device TEXT NOT NULL CHECK (length(device) <= 80)
) STRICT;

CREATE INDEX session_by_person ON session (person_id);

CREATE TABLE setup (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  machine_id TEXT NOT NULL REFERENCES machine (id),
  grinder_id TEXT NOT NULL REFERENCES grinder (id),
  basket_id TEXT NOT NULL REFERENCES basket (id),
  row_version INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL
, removed_at TEXT, scale TEXT NOT NULL DEFAULT 'none' CHECK (scale IN ('none', 'simulated')), machine_link TEXT NOT NULL DEFAULT 'none' CHECK (machine_link IN ('none', 'simulated')), refractometer TEXT NOT NULL DEFAULT 'none' CHECK (refractometer IN ('none', 'simulated')), colour_meter TEXT NOT NULL DEFAULT 'none' CHECK (colour_meter IN ('none', 'simulated'))) STRICT;

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
  purge_g REAL CHECK (purge_g BETWEEN 0 AND 120),
  seen TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(seen)),
  remark TEXT NOT NULL DEFAULT '' CHECK (length(remark) <= 500),
  tds_pct REAL CHECK (tds_pct BETWEEN 0 AND 30),
  removed_at TEXT
, overruled TEXT CHECK (length(overruled) BETWEEN 1 AND 400), beans TEXT NOT NULL DEFAULT 'room' CHECK (beans IN ('room', 'warm', 'frozen', 'misted')), blond_s REAL CHECK (blond_s BETWEEN 0 AND 180), puck TEXT NOT NULL DEFAULT '' CHECK (length(puck) <= 500), overrun_g REAL CHECK (overrun_g BETWEEN 0 AND 20), is_simulated INTEGER NOT NULL DEFAULT 0 CHECK (is_simulated IN (0, 1)), row_version INTEGER NOT NULL DEFAULT 1, yield_ml REAL CHECK (yield_ml BETWEEN 3 AND 300), sample_id TEXT REFERENCES sample (id), peak_bar REAL CHECK (peak_bar BETWEEN 0 AND 15), bean_c REAL CHECK (bean_c BETWEEN -40 AND 80), ground_c REAL CHECK (ground_c BETWEEN -20 AND 100)) STRICT;

CREATE INDEX shot_by_draft ON shot (recipe_draft_id, pulled_at);

CREATE INDEX shot_with_overrun ON shot (pulled_at) WHERE overrun_g IS NOT NULL AND removed_at IS NULL;

CREATE INDEX trace_shots ON shot (pulled_at) WHERE overrun_g IS NOT NULL;

CREATE TABLE sign_in_try (
  id INTEGER PRIMARY KEY,
  name_key TEXT NOT NULL,
  -- Where it came from: an address, a known browser, or a session.
  source TEXT NOT NULL,
  at TEXT NOT NULL
) STRICT;

CREATE INDEX sign_in_try_by_name ON sign_in_try (name_key, at);

CREATE INDEX sign_in_try_by_source ON sign_in_try (source, at);

CREATE TABLE staged_shot (
  shot_id TEXT PRIMARY KEY REFERENCES shot (id) ON DELETE CASCADE,
  cups TEXT NOT NULL CHECK (json_valid(cups)),
  likeness TEXT CHECK (likeness IN ('first', 'middle', 'last')),
  noted_at TEXT NOT NULL,
  noted_by TEXT NOT NULL REFERENCES person (id)
) STRICT;

CREATE TABLE taste_site (
  release_id TEXT PRIMARY KEY REFERENCES release (id) ON DELETE CASCADE,
  -- Of the cups it was worked out from.
  signature TEXT NOT NULL,
  -- NULL where the cups leave a direction open that the recipe tells.
  site TEXT CHECK (site IS NULL OR json_valid(site))
) STRICT;

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
, row_version INTEGER NOT NULL DEFAULT 1, removed_at TEXT, flight_id TEXT REFERENCES flight (id), guest TEXT CHECK (guest IS NULL OR length(guest) BETWEEN 1 AND 80)) STRICT;

CREATE INDEX tasting_by_moment ON tasting (tasted_at) WHERE removed_at IS NULL;

CREATE INDEX tasting_by_shot ON tasting (shot_id, tasted_at);

CREATE TABLE trace (
  shot_id TEXT PRIMARY KEY REFERENCES shot (id) ON DELETE CASCADE,
  points TEXT NOT NULL CHECK (json_valid(points))
) STRICT;

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
