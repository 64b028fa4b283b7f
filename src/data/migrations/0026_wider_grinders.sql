-- Peak pressure, bean and ground temperature noted by hand. Grinders keep more than 20 g, and a purge is up to twice
-- that: what this does to the definitions of grinder and shot stands in src/data/migrationSteps.ts.
ALTER TABLE shot ADD COLUMN peak_bar REAL CHECK (peak_bar BETWEEN 0 AND 15);
ALTER TABLE shot ADD COLUMN bean_c REAL CHECK (bean_c BETWEEN -40 AND 80);
ALTER TABLE shot ADD COLUMN ground_c REAL CHECK (ground_c BETWEEN -20 AND 100);
