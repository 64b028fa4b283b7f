-- What a house reaches for first when a cup is in time and not right.
ALTER TABLE house ADD COLUMN taste_levers TEXT NOT NULL DEFAULT 'bySize' CHECK (length(taste_levers) BETWEEN 1 AND 40);
