-- A visit: results taken on one day by one person. Each result keeps its trials, what limited it, and what it corrects.
CREATE TABLE measure_visits (
  clinic_id    UUID        NOT NULL,
  id           UUID        NOT NULL,
  episode_id   UUID        NOT NULL,
  taken_on     DATE        NOT NULL,
  recorded_by  UUID        NOT NULL,
  recorded_at  DATETIME(3) NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY measure_visits_episode (clinic_id, episode_id, taken_on),
  CONSTRAINT measure_visits_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT measure_visits_staff FOREIGN KEY (clinic_id, recorded_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

ALTER TABLE measure_results
  ADD COLUMN visit_id   UUID NULL,
  ADD COLUMN trials     JSON NULL,
  ADD COLUMN detail     JSON NULL,
  ADD COLUMN supersedes UUID NULL,
  ADD CONSTRAINT measure_results_visit FOREIGN KEY (clinic_id, visit_id) REFERENCES measure_visits (clinic_id, id),
  ADD CONSTRAINT measure_results_corrects FOREIGN KEY (clinic_id, supersedes)
    REFERENCES measure_results (clinic_id, id);

-- A move between stages says how it came about, with the gate as it stood when it was signed.
ALTER TABLE stage_moves
  ADD COLUMN kind ENUM ('place', 'pass', 'override', 'back') NOT NULL DEFAULT 'place',
  ADD COLUMN gate JSON NULL;

ALTER TABLE episodes
  ADD COLUMN surgery_on DATE NULL;

-- How this patient's gates are passed: by the measured value, or only when confident.
CREATE TABLE passing_settings (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  episode_id  UUID         NOT NULL,
  passing     ENUM ('point', 'confident') NOT NULL,
  reason      VARCHAR(400) NOT NULL,
  set_by      UUID         NOT NULL,
  at          DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY passing_settings_episode (clinic_id, episode_id, at),
  CONSTRAINT passing_settings_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT passing_settings_staff FOREIGN KEY (clinic_id, set_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;
