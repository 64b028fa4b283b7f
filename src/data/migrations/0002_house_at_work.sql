-- A house at work: people who sign in, shared equipment, more facts of batches, withdrawn cards.

ALTER TABLE house ADD COLUMN row_version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE house ADD COLUMN currency TEXT NOT NULL DEFAULT 'EUR' CHECK (length(currency) = 3);
ALTER TABLE house ADD COLUMN coffee_price_per_kg REAL CHECK (coffee_price_per_kg BETWEEN 0 AND 10000);
-- ISO weekdays (1 Monday … 7 Sunday) and single days on which nobody checks a coffee.
ALTER TABLE house ADD COLUMN closed_weekdays TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(closed_weekdays));
ALTER TABLE house ADD COLUMN closed_dates TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(closed_dates));
-- The house's own colour readings of its roast words: [{roastLevel, colourBean?, colourGround?}].
ALTER TABLE house ADD COLUMN roast_map TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(roast_map));
ALTER TABLE house ADD COLUMN public_address TEXT NOT NULL DEFAULT '' CHECK (length(public_address) <= 200);

ALTER TABLE person ADD COLUMN sign_in_name TEXT CHECK (length(sign_in_name) BETWEEN 1 AND 80);
ALTER TABLE person ADD COLUMN password_hash TEXT;
ALTER TABLE person ADD COLUMN mass_unit TEXT NOT NULL DEFAULT 'g' CHECK (mass_unit IN ('g', 'oz'));
ALTER TABLE person ADD COLUMN temperature_unit TEXT NOT NULL DEFAULT 'C' CHECK (temperature_unit IN ('C', 'F'));
-- Raised to end every session of a person at once.
ALTER TABLE person ADD COLUMN session_epoch INTEGER NOT NULL DEFAULT 0;
ALTER TABLE person ADD COLUMN removed_at TEXT;
CREATE UNIQUE INDEX person_by_sign_in_name ON person (sign_in_name COLLATE NOCASE);

-- Only the hash of a link's token is kept: the link itself is shown once.
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

CREATE TABLE sign_in_failure (
  name_key TEXT NOT NULL,
  at TEXT NOT NULL
) STRICT;
CREATE INDEX sign_in_failure_by_name ON sign_in_failure (name_key, at);

CREATE TABLE secret (
  name TEXT PRIMARY KEY,
  value TEXT NOT NULL CHECK (length(value) >= 32)
) STRICT;

ALTER TABLE machine ADD COLUMN row_version INTEGER NOT NULL DEFAULT 1;
-- Displayed temperature minus the temperature at the group.
ALTER TABLE machine ADD COLUMN display_offset_c REAL CHECK (display_offset_c BETWEEN -15 AND 15);
ALTER TABLE machine ADD COLUMN flow_control INTEGER NOT NULL DEFAULT 0 CHECK (flow_control IN (0, 1));
ALTER TABLE machine ADD COLUMN preinfusion INTEGER NOT NULL DEFAULT 0 CHECK (preinfusion IN (0, 1));
ALTER TABLE machine ADD COLUMN removed_at TEXT;
ALTER TABLE grinder ADD COLUMN row_version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE grinder ADD COLUMN seconds_per_step REAL CHECK (seconds_per_step BETWEEN 0.1 AND 20);
ALTER TABLE grinder ADD COLUMN removed_at TEXT;
ALTER TABLE basket ADD COLUMN row_version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE basket ADD COLUMN pressurised INTEGER NOT NULL DEFAULT 0 CHECK (pressurised IN (0, 1));
ALTER TABLE basket ADD COLUMN removed_at TEXT;
ALTER TABLE setup ADD COLUMN removed_at TEXT;

ALTER TABLE release ADD COLUMN serving TEXT NOT NULL DEFAULT 'both' CHECK (serving IN ('straight', 'milk', 'both'));
ALTER TABLE release ADD COLUMN removed_at TEXT;
CREATE INDEX release_by_name ON release (name COLLATE NOCASE);
ALTER TABLE component ADD COLUMN moisture_pct REAL CHECK (moisture_pct BETWEEN 5 AND 20);
ALTER TABLE batch ADD COLUMN row_version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE batch ADD COLUMN label TEXT NOT NULL DEFAULT '' CHECK (length(label) <= 40);
ALTER TABLE batch ADD COLUMN colour_bean REAL CHECK (colour_bean BETWEEN 0 AND 200);
ALTER TABLE batch ADD COLUMN colour_ground REAL CHECK (colour_ground BETWEEN 0 AND 200);
ALTER TABLE batch ADD COLUMN weight_loss_pct REAL CHECK (weight_loss_pct BETWEEN 5 AND 30);
-- Grams set aside for the bench when the batch came in.
ALTER TABLE batch ADD COLUMN sample_g REAL CHECK (sample_g BETWEEN 0 AND 100000);
ALTER TABLE batch ADD COLUMN removed_at TEXT;
CREATE INDEX dial_in_by_batch ON dial_in (batch_id);

-- Why this shot was pulled otherwise than advised; null when the advice was followed.
ALTER TABLE shot ADD COLUMN overruled TEXT CHECK (length(overruled) BETWEEN 1 AND 400);

ALTER TABLE publication ADD COLUMN withdrawn_at TEXT;
ALTER TABLE publication ADD COLUMN withdrawn_why TEXT CHECK (length(withdrawn_why) <= 400);

-- A readiness gate that was passed by the lead's word, with the reason. Stays in the house.
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
