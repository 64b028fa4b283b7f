-- Who is signed in where, who knocks, and what happened at the doors.

-- A browser that is signed in; its cookie carries a token of which only the hash is kept.
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

-- A browser that has signed in before: it keeps its own allowance of wrong passwords.
CREATE TABLE known_browser (
  token_hash TEXT NOT NULL,
  person_id TEXT NOT NULL REFERENCES person (id),
  used_at TEXT NOT NULL,
  PRIMARY KEY (token_hash, person_id)
) STRICT, WITHOUT ROWID;

-- Passwords that were tried and did not fit, or are being looked at.
DROP TABLE sign_in_failure;
CREATE TABLE sign_in_try (
  id INTEGER PRIMARY KEY,
  name_key TEXT NOT NULL,
  -- Where it came from: an address, a known browser, or a session.
  source TEXT NOT NULL,
  at TEXT NOT NULL
) STRICT;
CREATE INDEX sign_in_try_by_name ON sign_in_try (name_key, at);
CREATE INDEX sign_in_try_by_source ON sign_in_try (source, at);

-- Sign-ins, wrong passwords, exports, invitations, roles: what a lead looks through when something is odd.
CREATE TABLE door_log (
  id INTEGER PRIMARY KEY,
  at TEXT NOT NULL,
  person_id TEXT REFERENCES person (id),
  kind TEXT NOT NULL,
  words TEXT NOT NULL CHECK (length(words) <= 200),
  source TEXT NOT NULL CHECK (length(source) <= 120)
) STRICT;
INSERT INTO door_log (at, person_id, kind, words, source)
SELECT at, person_id, kind, substr(words, 1, 200), '' FROM event
WHERE kind IN ('setUpHouse', 'invite', 'acceptInvitation', 'changeRole') ORDER BY rowid;

-- Cookies are no longer sealed with a secret, and sessions end one by one.
DROP TABLE secret;
ALTER TABLE person DROP COLUMN session_epoch;

-- Two people of one name were told apart by nobody: the later one gets a number.
UPDATE person SET name = substr(name, 1, 70) || ' (' || rowid || ')'
WHERE removed_at IS NULL AND EXISTS (
  SELECT 1 FROM person o WHERE o.removed_at IS NULL AND o.rowid < person.rowid
    AND o.name = person.name COLLATE NOCASE);
CREATE UNIQUE INDEX person_name ON person (name COLLATE NOCASE) WHERE removed_at IS NULL;

-- Where backups go and how many are kept; and what became of each.
ALTER TABLE house ADD COLUMN backup_folder TEXT NOT NULL DEFAULT '' CHECK (length(backup_folder) <= 200);
ALTER TABLE house ADD COLUMN backup_days INTEGER NOT NULL DEFAULT 7 CHECK (backup_days BETWEEN 1 AND 60);
ALTER TABLE house ADD COLUMN backup_weeks INTEGER NOT NULL DEFAULT 8 CHECK (backup_weeks BETWEEN 0 AND 200);
CREATE TABLE backup (
  id INTEGER PRIMARY KEY,
  at TEXT NOT NULL,
  file TEXT NOT NULL,
  bytes INTEGER NOT NULL,
  -- What went wrong, in words; empty for a good one.
  fault TEXT NOT NULL
) STRICT;
CREATE INDEX backup_by_time ON backup (at) WHERE fault = '';

-- The page and the paper card of a version as they were made when it was published; later code changes neither.
CREATE TABLE public_file (
  version_id TEXT NOT NULL REFERENCES recipe_version (id),
  kind TEXT NOT NULL CHECK (kind IN ('page', 'paper')),
  -- The public address it leads to.
  address TEXT NOT NULL,
  bytes BLOB NOT NULL,
  etag TEXT NOT NULL,
  policy TEXT NOT NULL,
  PRIMARY KEY (version_id, kind)
) STRICT;
