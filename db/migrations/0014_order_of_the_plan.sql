-- What an exercise is in the plan for, and the signed order with its circuits.
ALTER TABLE plan_items ADD COLUMN role VARCHAR(20) NULL AFTER position;

CREATE TABLE arrangements (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  episode_id  UUID         NOT NULL,
  entries     JSON         NOT NULL,
  circuits    JSON         NOT NULL,
  signed_by   UUID         NOT NULL,
  at          DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY arrangements_episode (clinic_id, episode_id, at),
  CONSTRAINT arrangements_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT arrangements_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;
