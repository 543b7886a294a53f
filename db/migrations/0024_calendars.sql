-- A patient's exercise days for a calendar that reads them by itself: only the hash of what opens it is kept.
CREATE TABLE calendar_feeds (
  clinic_id   UUID        NOT NULL,
  id          UUID        NOT NULL,
  episode_id  UUID        NOT NULL,
  token_hash  BINARY(32)  NOT NULL,
  at_time     CHAR(5)     NULL,
  made_by     UUID        NOT NULL,
  made_at     DATETIME(3) NOT NULL,
  read_at     DATETIME(3) NULL,
  ended_at    DATETIME(3) NULL,
  PRIMARY KEY (clinic_id, id),
  UNIQUE KEY calendar_feeds_token (token_hash),
  KEY calendar_feeds_episode (clinic_id, episode_id, made_at),
  CONSTRAINT calendar_feeds_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT calendar_feeds_staff FOREIGN KEY (clinic_id, made_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- Who is expected on a day, and when: marked by hand, or read from a calendar file. Appointments are kept elsewhere.
CREATE TABLE expected_people (
  clinic_id   UUID        NOT NULL,
  on_date     DATE        NOT NULL,
  episode_id  UUID        NOT NULL,
  at_time     CHAR(5)     NULL,
  marked_by   UUID        NOT NULL,
  marked_at   DATETIME(3) NOT NULL,
  PRIMARY KEY (clinic_id, on_date, episode_id),
  KEY expected_people_episode (clinic_id, episode_id),
  CONSTRAINT expected_people_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT expected_people_staff FOREIGN KEY (clinic_id, marked_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;
