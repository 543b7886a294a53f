-- What changed for a person since the intake: days, minutes, kit, positions, the surgeon's limits. The latest row holds.
CREATE TABLE circumstances (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  episode_id  UUID         NOT NULL,
  body        JSON         NOT NULL,
  reason      VARCHAR(400) NOT NULL,
  signed_by   UUID         NOT NULL,
  at          DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY circumstances_episode (clinic_id, episode_id, at),
  CONSTRAINT circumstances_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT circumstances_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;
