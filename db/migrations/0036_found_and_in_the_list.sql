-- Whom a word fits has had an episode a year for years: which of those are open, and in what order they stand, is read along
-- the key alone. It begins as the one did that it takes the place of.
ALTER TABLE episodes
  ADD KEY episodes_of_person (clinic_id, person_id, ended_at, paused_at, started_at),
  DROP KEY episodes_person;
-- A clinic whose time zone was changed had lost the rows of its caseload, and with them everybody in the list until the next word
-- about each: they stand in it again, and are worked out before anything is shown of them.
INSERT INTO caseload_rows
       (clinic_id, episode_id, episode_version, engine_version, computed_at, valid_until, body, onset_on, resting, held_by)
  SELECT e.clinic_id, e.id, 0, '', '1970-01-01', '1970-01-02', '{}', e.onset_on,
         e.ended_at IS NOT NULL OR e.paused_at IS NOT NULL, e.held_by
    FROM episodes e
    LEFT JOIN caseload_rows c ON c.clinic_id = e.clinic_id AND c.episode_id = e.id
   WHERE c.episode_id IS NULL;
