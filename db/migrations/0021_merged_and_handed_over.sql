-- The same person entered twice: episodes of the one were given to the other by a lead; taken back, they go home again.
CREATE TABLE person_merges (
  clinic_id        UUID         NOT NULL,
  id               UUID         NOT NULL,
  episode_id       UUID         NOT NULL,
  person_id        UUID         NOT NULL,
  other_person_id  UUID         NOT NULL,
  moved            JSON         NOT NULL,
  takes_back       UUID         NULL,
  reason           VARCHAR(400) NOT NULL,
  signed_by        UUID         NOT NULL,
  at               DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  UNIQUE KEY person_merges_back (clinic_id, takes_back),
  KEY person_merges_episode (clinic_id, episode_id, at),
  CONSTRAINT person_merges_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT person_merges_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- Who looks after an episode; the head says who does now.
ALTER TABLE episodes ADD COLUMN held_by UUID NULL;
CREATE TABLE handovers (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  episode_id  UUID         NOT NULL,
  from_staff  UUID         NULL,
  to_staff    UUID         NOT NULL,
  reason      VARCHAR(400) NOT NULL,
  signed_by   UUID         NOT NULL,
  at          DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY handovers_episode (clinic_id, episode_id, at),
  CONSTRAINT handovers_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT handovers_to FOREIGN KEY (clinic_id, to_staff) REFERENCES staff (clinic_id, id),
  CONSTRAINT handovers_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;
