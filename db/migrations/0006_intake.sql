-- What was asked before the first exercise, as it was signed.
CREATE TABLE intakes (
  clinic_id   UUID        NOT NULL,
  id          UUID        NOT NULL,
  episode_id  UUID        NOT NULL,
  body        JSON        NOT NULL,
  placing     JSON        NOT NULL,
  taken_by    UUID        NOT NULL,
  at          DATETIME(3) NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY intakes_episode (clinic_id, episode_id, at),
  CONSTRAINT intakes_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT intakes_staff FOREIGN KEY (clinic_id, taken_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- An intake that is still being filled in: kept so that another device can go on; gone once it is signed.
CREATE TABLE intake_drafts (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  label       VARCHAR(120) NOT NULL,
  body        JSON         NOT NULL,
  saved_by    UUID         NOT NULL,
  saved_at    DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY intake_drafts_time (clinic_id, saved_at),
  CONSTRAINT intake_drafts_staff FOREIGN KEY (clinic_id, saved_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

ALTER TABLE episodes
  ADD COLUMN graft     VARCHAR(40) NULL,
  ADD COLUMN target_on DATE NULL;
