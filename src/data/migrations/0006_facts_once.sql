-- Facts said once: rest days follow from the batch, the recipe on the bench is stated, and what is kept
-- in memory knows when it has grown old.

-- Derived on reading from the batch and the moment of the shot.
ALTER TABLE shot DROP COLUMN rest_days;

-- Several recipes of a release can be open; this one is on the bench, because somebody put it there.
CREATE TABLE bench (
  release_id TEXT PRIMARY KEY REFERENCES release (id) ON DELETE CASCADE,
  draft_id TEXT NOT NULL REFERENCES recipe_draft (id) ON DELETE CASCADE
) STRICT;
INSERT INTO bench (release_id, draft_id)
  SELECT release_id, id FROM (
    SELECT d.release_id, r.id, row_number() OVER (
      PARTITION BY d.release_id ORDER BY r.created_at DESC, r.rowid DESC) AS place
    FROM recipe_draft r JOIN dial_in d ON d.id = r.dial_in_id)
  WHERE place = 1;

-- How often each subject has changed: raised by every command for the subjects it says it changes.
CREATE TABLE epoch (
  topic TEXT PRIMARY KEY,
  n INTEGER NOT NULL
) STRICT;

-- A row as it was before an edit, so that the edit can be taken back. The id is the command's.
CREATE TABLE edit (
  id TEXT NOT NULL,
  what TEXT NOT NULL,
  row_id TEXT NOT NULL,
  -- Version of the row the edit made.
  made_version INTEGER NOT NULL,
  before TEXT NOT NULL CHECK (json_valid(before)),
  PRIMARY KEY (id, what, row_id)
) STRICT;

CREATE INDEX dial_in_by_setup ON dial_in (setup_id);
CREATE INDEX recipe_draft_decided ON recipe_draft (decided_on) WHERE decided_on IS NOT NULL;
CREATE INDEX recipe_version_by_draft ON recipe_version (draft_id);
CREATE INDEX trace_shots ON shot (pulled_at) WHERE overrun_g IS NOT NULL;
