-- Discharged, paused, taken up again, opened again: each turn of an episode with its reason; the head says where it stands.
CREATE TABLE episode_turns (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  episode_id  UUID         NOT NULL,
  kind        VARCHAR(20)  NOT NULL,
  reason      VARCHAR(400) NOT NULL,
  summary     TEXT         NULL,
  signed_by   UUID         NOT NULL,
  at          DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY episode_turns_episode (clinic_id, episode_id, at),
  CONSTRAINT episode_turns_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT episode_turns_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;
ALTER TABLE episodes ADD COLUMN paused_at DATETIME(3) NULL AFTER ended_at;

-- What a person's name, birth date and the rest were before they were put right, with who did it and why.
CREATE TABLE identity_changes (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  episode_id  UUID         NOT NULL,
  before_it   JSON         NOT NULL,
  after_it    JSON         NOT NULL,
  reason      VARCHAR(400) NOT NULL,
  signed_by   UUID         NOT NULL,
  at          DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY identity_changes_episode (clinic_id, episode_id, at),
  CONSTRAINT identity_changes_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT identity_changes_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;
ALTER TABLE people ADD COLUMN contact VARCHAR(200) NULL;
