-- A week as it was laid out for somebody: which exercise on which day, what is locked, how long each day is. The latest of a
-- week stands; those before stay.
CREATE TABLE weeks (
  clinic_id   UUID        NOT NULL,
  id          UUID        NOT NULL,
  episode_id  UUID        NOT NULL,
  starts_on   DATE        NOT NULL,
  days        JSON        NOT NULL,
  placed      JSON        NOT NULL,
  locks       JSON        NOT NULL,
  kept_by     UUID        NOT NULL,
  at          DATETIME(3) NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY weeks_episode (clinic_id, episode_id, at),
  CONSTRAINT weeks_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT weeks_staff FOREIGN KEY (clinic_id, kept_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;
