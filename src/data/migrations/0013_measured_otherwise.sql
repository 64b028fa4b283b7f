-- Settings written as letters, marks or turns; yields read by volume; a blend whose shares one batch has otherwise.
ALTER TABLE grinder ADD COLUMN notation TEXT NOT NULL DEFAULT 'numbers' CHECK (notation IN ('numbers', 'turns', 'letters', 'marks'));
ALTER TABLE grinder ADD COLUMN divisions REAL CHECK (divisions BETWEEN 2 AND 200);
ALTER TABLE house ADD COLUMN crema_g_per_ml REAL NOT NULL DEFAULT 0.75 CHECK (crema_g_per_ml BETWEEN 0.5 AND 1);
ALTER TABLE batch ADD COLUMN shares_pct TEXT NOT NULL DEFAULT '' CHECK (length(shares_pct) <= 80);
ALTER TABLE shot ADD COLUMN yield_ml REAL CHECK (yield_ml BETWEEN 3 AND 300);
-- Nobody weighs espresso in ounces: a person chooses how volumes are read instead.
ALTER TABLE person DROP COLUMN mass_unit;
ALTER TABLE person ADD COLUMN volume_unit TEXT NOT NULL DEFAULT 'ml' CHECK (volume_unit IN ('ml', 'flOz'));
-- Done with, but not deleted.
ALTER TABLE release ADD COLUMN is_archived INTEGER NOT NULL DEFAULT 0 CHECK (is_archived IN (0, 1));
