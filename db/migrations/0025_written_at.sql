-- When the last fact was written into an episode: no fact after it bears an earlier time, and nothing is judged as of one.
ALTER TABLE episodes ADD COLUMN written_at DATETIME(3) NOT NULL DEFAULT '1970-01-01 00:00:00.000' AFTER started_at;
UPDATE episodes e
   SET e.written_at = GREATEST(
         e.started_at,
         COALESCE((SELECT MAX(r.at) FROM receipts r WHERE r.clinic_id = e.clinic_id AND r.episode_id = e.id), e.started_at));
ALTER TABLE episodes ALTER COLUMN written_at DROP DEFAULT;
