-- When a batch was entered: what lay before it was not missed. Known of older ones by their event, else by their release.
ALTER TABLE batch ADD COLUMN created_at TEXT NOT NULL DEFAULT '';
UPDATE batch SET created_at = coalesce(
  (SELECT at FROM event WHERE event.id = batch.id),
  (SELECT created_at FROM release WHERE release.id = batch.release_id));
