-- How full a basket is proposed, and whether one release may touch its dose otherwise than the house.
ALTER TABLE house ADD COLUMN headspace TEXT NOT NULL DEFAULT 'toRating' CHECK (headspace IN ('toRating', 'roomAbove'));
ALTER TABLE release ADD COLUMN dose_school TEXT CHECK (dose_school IN ('locked', 'trim'));
