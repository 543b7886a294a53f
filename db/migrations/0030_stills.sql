-- Points placed in a picture of somebody, once or twice; the picture too where they agreed to it, sealed with the clinic's key.
CREATE TABLE result_stills (
  clinic_id   UUID        NOT NULL,
  id          UUID        NOT NULL,
  episode_id  UUID        NOT NULL,
  visit_id    UUID        NOT NULL,
  points      JSON        NOT NULL,
  again       JSON        NULL,
  width       INT         NOT NULL,
  height      INT         NOT NULL,
  picture     MEDIUMBLOB  NULL,
  recorded_at DATETIME(3) NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY result_stills_episode (clinic_id, episode_id, recorded_at),
  CONSTRAINT result_stills_visit FOREIGN KEY (clinic_id, visit_id) REFERENCES measure_visits (clinic_id, id),
  CONSTRAINT result_stills_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id)
) ENGINE = InnoDB;
