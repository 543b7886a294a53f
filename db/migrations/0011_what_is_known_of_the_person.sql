-- A red flag as it was ticked while an intake was being taken: unticking it leaves this behind. One row for each flag.
CREATE TABLE red_flag_ticks (
  clinic_id  UUID        NOT NULL,
  intake_id  UUID        NOT NULL,
  code       VARCHAR(40) NOT NULL,
  ticked_by  UUID        NOT NULL,
  at         DATETIME(3) NOT NULL,
  PRIMARY KEY (clinic_id, intake_id, code),
  CONSTRAINT red_flag_ticks_staff FOREIGN KEY (clinic_id, ticked_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- A criterion of a gate that no number can decide, judged by a clinician in writing.
CREATE TABLE criterion_words (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  episode_id  UUID         NOT NULL,
  stage       VARCHAR(40)  NOT NULL,
  criterion   VARCHAR(60)  NOT NULL,
  reason      VARCHAR(400) NOT NULL,
  signed_by   UUID         NOT NULL,
  at          DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY criterion_words_episode (clinic_id, episode_id, at),
  CONSTRAINT criterion_words_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT criterion_words_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- Which of a table's two groups somebody is compared with, where a norm has them; nobody is asked otherwise.
ALTER TABLE people ADD COLUMN norm_group ENUM ('male', 'female') NULL;

-- What happened to somebody, and when. A correction is a new row that takes the place of another.
CREATE TABLE events (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  episode_id  UUID         NOT NULL,
  kind        VARCHAR(20)  NOT NULL,
  happened_on DATE         NOT NULL,
  procedures  JSON         NULL,
  graft       VARCHAR(40)  NULL,
  limits      JSON         NULL,
  supersedes  UUID         NULL,
  withdrawn   BOOLEAN      NULL,
  reason      VARCHAR(400) NOT NULL,
  signed_by   UUID         NOT NULL,
  at          DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY events_episode (clinic_id, episode_id, at),
  CONSTRAINT events_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT events_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- A condition of the person that began or ended after an intake had asked for it. What it limits follows from its code.
CREATE TABLE condition_changes (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  episode_id  UUID         NOT NULL,
  code        VARCHAR(40)  NOT NULL,
  present     BOOLEAN      NOT NULL,
  reason      VARCHAR(400) NOT NULL,
  signed_by   UUID         NOT NULL,
  at          DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY condition_changes_episode (clinic_id, episode_id, at),
  CONSTRAINT condition_changes_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT condition_changes_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- An exercise that a clinician put into a plan against limits which are neither the surgeon's nor a procedure's, and why.
ALTER TABLE plan_items
  ADD COLUMN against        JSON         NULL,
  ADD COLUMN against_reason VARCHAR(400) NULL;
