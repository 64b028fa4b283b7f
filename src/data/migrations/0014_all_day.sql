-- The clock of the house, wherever its machine stands.
ALTER TABLE house ADD COLUMN time_zone TEXT NOT NULL DEFAULT '' CHECK (length(time_zone) <= 40);
