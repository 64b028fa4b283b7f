-- The house model: what past recipes teach, equipment told in full, rules of the house's own.

ALTER TABLE machine ADD COLUMN boiler TEXT CHECK (boiler IN ('single', 'heatExchanger', 'dual', 'thermoblock'));
ALTER TABLE machine ADD COLUMN flush_s REAL CHECK (flush_s BETWEEN 0 AND 30);
ALTER TABLE machine ADD COLUMN overrun_g REAL CHECK (overrun_g BETWEEN 0 AND 20);
ALTER TABLE grinder ADD COLUMN stepless INTEGER NOT NULL DEFAULT 0 CHECK (stepless IN (0, 1));
ALTER TABLE grinder ADD COLUMN chokes_at REAL;
-- Half of the 80 % interval of seconds_per_step, as calibrated.
ALTER TABLE grinder ADD COLUMN seconds_per_step_half80 REAL CHECK (seconds_per_step_half80 BETWEEN 0 AND 20);
-- Dial at which the house's reference coffee runs 28 s from the pump.
ALTER TABLE grinder ADD COLUMN reference_dial REAL;
ALTER TABLE basket ADD COLUMN depth_mm REAL CHECK (depth_mm BETWEEN 10 AND 60);

-- How a bean gives under the thumb.
ALTER TABLE batch ADD COLUMN crush TEXT CHECK (crush IN ('resists', 'cracks', 'crumbles'));

-- Rules in place of the trade's: [{factor, output, mean, sd}].
ALTER TABLE house ADD COLUMN rules TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(rules));
-- Releases after which a past recipe counts half; null when it never fades.
ALTER TABLE house ADD COLUMN half_life INTEGER DEFAULT 50 CHECK (half_life BETWEEN 5 AND 1000);

-- Set on a recipe from the house's own records: it was in force since this day, though never published here.
ALTER TABLE recipe_draft ADD COLUMN decided_on TEXT
  CHECK (decided_on GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]');

-- 0 where a record did not say the dial: it then teaches nothing about grind.
ALTER TABLE recipe_draft ADD COLUMN dial_known INTEGER NOT NULL DEFAULT 1 CHECK (dial_known IN (0, 1));

-- The recipe a version was made from. Older versions: the newest recipe of the release at that moment.
ALTER TABLE recipe_version ADD COLUMN draft_id TEXT REFERENCES recipe_draft (id);
DROP TRIGGER recipe_version_is_final;
UPDATE recipe_version SET draft_id = (
  SELECT r.id FROM recipe_draft r JOIN dial_in d ON d.id = r.dial_in_id
  WHERE d.release_id = recipe_version.release_id AND r.created_at <= recipe_version.published_at
  ORDER BY r.created_at DESC, r.rowid DESC LIMIT 1);
CREATE TRIGGER recipe_version_is_final BEFORE UPDATE ON recipe_version
BEGIN SELECT RAISE(ABORT, 'a published version never changes'); END;

-- A withdrawn recipe still teaches the house model unless it was withdrawn as wrong. Of older ones nobody knows.
ALTER TABLE publication ADD COLUMN teaches INTEGER NOT NULL DEFAULT 1 CHECK (teaches IN (0, 1));
UPDATE publication SET teaches = 0 WHERE withdrawn_at IS NOT NULL;
