-- What readers of cards said: words alone, nobody's name.
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
CREATE INDEX reader_remark_by_time ON reader_remark (said_at);
CREATE INDEX reader_remark_by_release ON reader_remark (release_id, said_at);

-- Messages written and filed; nothing of them is sent by the program.
CREATE TABLE outbox_message (
  id TEXT PRIMARY KEY,
  release_id TEXT NOT NULL REFERENCES release (id) ON DELETE CASCADE,
  version_number INTEGER NOT NULL CHECK (version_number >= 1),
  audience TEXT NOT NULL CHECK (audience IN ('partners', 'team')),
  subject TEXT NOT NULL CHECK (length(subject) BETWEEN 1 AND 200),
  body TEXT NOT NULL CHECK (length(body) BETWEEN 1 AND 4000),
  made_at TEXT NOT NULL,
  made_by TEXT NOT NULL REFERENCES person (id),
  row_version INTEGER NOT NULL DEFAULT 1,
  filed_at TEXT,
  filed_by TEXT REFERENCES person (id)
) STRICT;
CREATE INDEX outbox_message_by_time ON outbox_message (made_at);
CREATE INDEX outbox_message_by_release ON outbox_message (release_id, version_number);

-- Papers of a version that were printed: what is stale once a newer one is out.
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

-- A card that goes out by itself on a day: as it was composed, for the recipe it was composed for.
CREATE TABLE planned_publication (
  release_id TEXT PRIMARY KEY REFERENCES release (id) ON DELETE CASCADE,
  on_day TEXT NOT NULL CHECK (on_day GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  card TEXT NOT NULL CHECK (json_valid(card)),
  planned_at TEXT NOT NULL,
  planned_by TEXT NOT NULL REFERENCES person (id),
  -- Why it did not go out when its day came.
  held_because TEXT
) STRICT;

-- Where the cards are also put as a folder for a web host.
ALTER TABLE house ADD COLUMN site_folder TEXT NOT NULL DEFAULT '' CHECK (length(site_folder) <= 200);
