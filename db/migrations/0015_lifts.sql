-- What somebody lifts in training of their own, and what was tried where the loads stall.
CREATE TABLE lifts (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  episode_id  UUID         NOT NULL,
  lifted_on   DATE         NOT NULL,
  movement    VARCHAR(60)  NOT NULL,
  sets        TINYINT UNSIGNED NOT NULL,
  reps        TINYINT UNSIGNED NOT NULL,
  load_kg     DECIMAL(6,2) NOT NULL,
  felt        VARCHAR(20)  NULL,
  note        VARCHAR(200) NULL,
  supersedes  UUID         NULL,
  withdrawn   TINYINT(1)   NULL,
  recorded_by UUID         NOT NULL,
  at          DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY lifts_episode (clinic_id, episode_id, lifted_on),
  CONSTRAINT lifts_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT lifts_corrected FOREIGN KEY (clinic_id, supersedes) REFERENCES lifts (clinic_id, id),
  CONSTRAINT lifts_staff FOREIGN KEY (clinic_id, recorded_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

CREATE TABLE small_doses (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  episode_id  UUID         NOT NULL,
  step        VARCHAR(20)  NOT NULL,
  look_on     DATE         NOT NULL,
  note        VARCHAR(400) NOT NULL,
  signed_by   UUID         NOT NULL,
  at          DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY small_doses_episode (clinic_id, episode_id, at),
  CONSTRAINT small_doses_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT small_doses_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;
