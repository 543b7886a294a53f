-- What was written into the wrong record, or never was so: taken out of the judgement with a reason; it stays in the record.
CREATE TABLE voidings (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  episode_id  UUID         NOT NULL,
  kind        VARCHAR(20)  NOT NULL,
  target_id   UUID         NOT NULL,
  reason      VARCHAR(400) NOT NULL,
  signed_by   UUID         NOT NULL,
  at          DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  UNIQUE KEY voidings_once (clinic_id, episode_id, kind, target_id),
  CONSTRAINT voidings_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT voidings_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;
