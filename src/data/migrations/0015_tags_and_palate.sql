-- The house's own words for a release: a menu, a season, a customer.
ALTER TABLE release ADD COLUMN tags TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(tags));

-- Who tasted how much on a day.
CREATE INDEX tasting_by_moment ON tasting (tasted_at) WHERE removed_at IS NULL;
