-- The bench in full: what was seen of a shot, its trace, and which instruments a setup has.

ALTER TABLE shot ADD COLUMN beans TEXT NOT NULL DEFAULT 'room' CHECK (beans IN ('room', 'warm', 'frozen', 'misted'));
-- Seconds from the pump at which the stream turned pale.
ALTER TABLE shot ADD COLUMN blond_s REAL CHECK (blond_s BETWEEN 0 AND 180);
ALTER TABLE shot ADD COLUMN puck TEXT NOT NULL DEFAULT '' CHECK (length(puck) <= 500);
-- What ran into the cup after the pump stopped, read off the scale.
ALTER TABLE shot ADD COLUMN overrun_g REAL CHECK (overrun_g BETWEEN 0 AND 20);
-- 1 for a shot of the simulator: it is shown as such and publishes nothing.
ALTER TABLE shot ADD COLUMN is_simulated INTEGER NOT NULL DEFAULT 0 CHECK (is_simulated IN (0, 1));

-- [{timeS, weightG, pressureBar?, flowMlS?, temperatureC?}], ten points a second.
CREATE TABLE trace (
  shot_id TEXT PRIMARY KEY REFERENCES shot (id) ON DELETE CASCADE,
  points TEXT NOT NULL CHECK (json_valid(points))
) STRICT;

ALTER TABLE setup ADD COLUMN scale TEXT NOT NULL DEFAULT 'none' CHECK (scale IN ('none', 'simulated'));
ALTER TABLE setup ADD COLUMN machine_link TEXT NOT NULL DEFAULT 'none' CHECK (machine_link IN ('none', 'simulated'));
ALTER TABLE setup ADD COLUMN refractometer TEXT NOT NULL DEFAULT 'none' CHECK (refractometer IN ('none', 'simulated'));
ALTER TABLE setup ADD COLUMN colour_meter TEXT NOT NULL DEFAULT 'none' CHECK (colour_meter IN ('none', 'simulated'));
