-- Shots and cup sheets can be corrected; a sheet can be deleted. What they were is kept with the edit.
ALTER TABLE shot ADD COLUMN row_version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE tasting ADD COLUMN row_version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE tasting ADD COLUMN removed_at TEXT;
