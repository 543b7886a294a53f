-- What a client sent under an id of its own, as it sent it: the same id with other content is a conflict, not a repeat.
CREATE TABLE receipts (
  clinic_id    UUID         NOT NULL,
  id           UUID         NOT NULL,
  episode_id   UUID         NULL,
  kind         VARCHAR(40)  NOT NULL,
  body         JSON         NOT NULL,
  received_by  UUID         NOT NULL,
  at           DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY receipts_episode (clinic_id, episode_id),
  CONSTRAINT receipts_staff FOREIGN KEY (clinic_id, received_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;
