-- A clinic of thousands is read a page at a time: what the caseload is ordered by stands in its rows, each episode has one from its
-- first moment, and a write says itself that the row does not hold any more. People are found by parts of
-- their names: each word stands here from each of its letters on.
ALTER TABLE caseload_rows
  ADD COLUMN place    TINYINT UNSIGNED NOT NULL DEFAULT 255,
  ADD COLUMN onset_on DATE             NOT NULL DEFAULT '9999-12-31',
  ADD COLUMN resting  BOOLEAN          NOT NULL DEFAULT FALSE,
  ADD COLUMN held_by  UUID             NULL,
  ADD KEY caseload_rows_page (clinic_id, resting, place, onset_on, episode_id),
  ADD KEY caseload_rows_holder (clinic_id, held_by, resting, place, onset_on, episode_id),
  ADD KEY caseload_rows_stale (clinic_id, valid_until);
UPDATE caseload_rows SET valid_until = '1970-01-02';
INSERT INTO caseload_rows (clinic_id, episode_id, episode_version, engine_version, computed_at, valid_until, body)
  SELECT e.clinic_id, e.id, 0, '', '1970-01-01', '1970-01-02', '{}'
    FROM episodes e
    LEFT JOIN caseload_rows c ON c.clinic_id = e.clinic_id AND c.episode_id = e.id
   WHERE c.episode_id IS NULL;

CREATE TABLE person_words (
  clinic_id UUID        NOT NULL,
  word      VARCHAR(80) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  person_id UUID        NOT NULL,
  PRIMARY KEY (clinic_id, word, person_id),
  KEY person_words_person (clinic_id, person_id),
  CONSTRAINT person_words_person_fk FOREIGN KEY (clinic_id, person_id) REFERENCES people (clinic_id, id)
) ENGINE = InnoDB;
