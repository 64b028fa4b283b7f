-- How the house judges a dial-in: may it touch the dose, how sure must a setting be, which cup confirms.
ALTER TABLE house ADD COLUMN dose_school TEXT NOT NULL DEFAULT 'locked' CHECK (dose_school IN ('locked', 'trim'));
ALTER TABLE house ADD COLUMN proof_goal_pct REAL NOT NULL DEFAULT 85 CHECK (proof_goal_pct BETWEEN 80 AND 90);
ALTER TABLE house ADD COLUMN least_liking REAL NOT NULL DEFAULT 6 CHECK (least_liking BETWEEN 0 AND 10);
