-- Who read and changed what, told by patient as well.
ALTER TABLE audit_log ADD COLUMN episode_id UUID NULL, ADD KEY audit_log_time (clinic_id, at, id);
UPDATE audit_log SET episode_id = object_id WHERE object_kind = 'episode';

-- The clinic's name and zone as a lead set them; the head says what holds.
CREATE TABLE clinic_changes (
  clinic_id  UUID        NOT NULL,
  id         UUID        NOT NULL,
  before_it  JSON        NOT NULL,
  after_it   JSON        NOT NULL,
  made_by    UUID        NOT NULL,
  at         DATETIME(3) NOT NULL,
  PRIMARY KEY (clinic_id, id),
  CONSTRAINT clinic_changes_staff FOREIGN KEY (clinic_id, made_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- A lead asks for somebody's data to be erased; another account than the application's does it. The ids name nobody.
CREATE TABLE erasure_requests (
  clinic_id  UUID         NOT NULL,
  id         UUID         NOT NULL,
  person_id  UUID         NOT NULL,
  reason     VARCHAR(400) NOT NULL,
  asked_by   UUID         NOT NULL,
  at         DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  UNIQUE KEY erasure_requests_person (clinic_id, person_id),
  CONSTRAINT erasure_requests_staff FOREIGN KEY (clinic_id, asked_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- What is left of somebody who was erased: that it was done, when, and how many rows of each table went.
CREATE TABLE erasures (
  clinic_id   UUID        NOT NULL,
  request_id  UUID        NOT NULL,
  person_id   UUID        NOT NULL,
  erased_at   DATETIME(3) NOT NULL,
  rows_gone   JSON        NOT NULL,
  PRIMARY KEY (clinic_id, request_id),
  CONSTRAINT erasures_request FOREIGN KEY (clinic_id, request_id) REFERENCES erasure_requests (clinic_id, id)
) ENGINE = InnoDB;
