-- What a bag says beside what the models take, and an index to find anything by.

ALTER TABLE component ADD COLUMN altitude_to_m REAL CHECK (altitude_to_m BETWEEN 0 AND 3500);
ALTER TABLE component ADD COLUMN harvest TEXT NOT NULL DEFAULT '' CHECK (length(harvest) <= 40);
ALTER TABLE component ADD COLUMN lot TEXT NOT NULL DEFAULT '' CHECK (length(lot) <= 40);
ALTER TABLE component ADD COLUMN certification TEXT NOT NULL DEFAULT '' CHECK (length(certification) <= 80);
ALTER TABLE component ADD COLUMN cup_score REAL CHECK (cup_score BETWEEN 0 AND 100);

-- This coffee's own price, in the house's currency; the house's usual where it is not known.
ALTER TABLE release ADD COLUMN price_per_kg REAL CHECK (price_per_kg BETWEEN 0 AND 10000);
-- A recipe the supplier or importer suggests, in their words.
ALTER TABLE release ADD COLUMN suggested_recipe TEXT NOT NULL DEFAULT '' CHECK (length(suggested_recipe) <= 400);
-- Allergens and flavours that were added.
ALTER TABLE release ADD COLUMN contains TEXT NOT NULL DEFAULT '' CHECK (length(contains) <= 400);
ALTER TABLE release ADD COLUMN story TEXT NOT NULL DEFAULT '' CHECK (length(story) <= 2000);
ALTER TABLE release ADD COLUMN free_notes TEXT NOT NULL DEFAULT '' CHECK (length(free_notes) <= 2000);

-- Every text of the house that can be searched, by what it belongs to; made from the tables, never edited.
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
-- What ran on after the pump, the latest first.
CREATE INDEX shot_with_overrun ON shot (pulled_at) WHERE overrun_g IS NOT NULL AND removed_at IS NULL;
CREATE INDEX findable_by_release ON findable (release_id);
CREATE VIRTUAL TABLE found USING fts5 (
  text, content = 'findable', content_rowid = 'id', tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3'
);
CREATE TRIGGER findable_in AFTER INSERT ON findable
BEGIN INSERT INTO found (rowid, text) VALUES (NEW.id, NEW.text); END;
CREATE TRIGGER findable_out AFTER DELETE ON findable
BEGIN INSERT INTO found (found, rowid, text) VALUES ('delete', OLD.id, OLD.text); END;
-- The newest event the index knows of.
CREATE TABLE findable_state (id INTEGER PRIMARY KEY CHECK (id = 1), event INTEGER NOT NULL) STRICT;
