-- The house's own words for a release: a menu, a season, a customer.
ALTER TABLE release ADD COLUMN tags TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(tags));
