-- Whom a word fits has had an episode a year for years: which of those are open, and in what order they stand, is read along
-- the key alone. It begins as the one did that it takes the place of.
ALTER TABLE episodes
  ADD KEY episodes_of_person (clinic_id, person_id, ended_at, paused_at, started_at),
  DROP KEY episodes_person;
