-- A grinder at a café whose dial turns freely is moved by half steps.
ALTER TABLE partner ADD COLUMN stepless INTEGER NOT NULL DEFAULT 0 CHECK (stepless IN (0, 1));
