-- A clinic and the people who work there. Every later table carries the clinic first in its key.
CREATE TABLE clinics (
  id          UUID         NOT NULL PRIMARY KEY,
  name        VARCHAR(120) NOT NULL,
  zone        VARCHAR(60)  NOT NULL,
  call_whom   VARCHAR(400) NOT NULL,
  created_at  DATETIME(3)  NOT NULL
) ENGINE = InnoDB;

CREATE TABLE staff (
  clinic_id      UUID         NOT NULL,
  id             UUID         NOT NULL,
  email          VARCHAR(190) NOT NULL,
  name           VARCHAR(120) NOT NULL,
  role           ENUM ('clinician', 'assistant', 'lead') NOT NULL,
  password_hash  VARCHAR(200) NOT NULL,
  active         BOOLEAN      NOT NULL DEFAULT TRUE,
  created_at     DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  UNIQUE KEY staff_email (email),
  CONSTRAINT staff_clinic FOREIGN KEY (clinic_id) REFERENCES clinics (id)
) ENGINE = InnoDB;

-- The cookie holds a random token; only its SHA-256 is kept.
CREATE TABLE staff_sessions (
  token_hash    BINARY(32)  NOT NULL PRIMARY KEY,
  clinic_id     UUID        NOT NULL,
  staff_id      UUID        NOT NULL,
  created_at    DATETIME(3) NOT NULL,
  last_seen_at  DATETIME(3) NOT NULL,
  KEY staff_sessions_age (created_at),
  CONSTRAINT staff_sessions_staff FOREIGN KEY (clinic_id, staff_id) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- Counters of failed sign-ins, shared by all processes; the shape is what the limiter package expects.
CREATE TABLE sign_in_limits (
  `key`   VARCHAR(255)    NOT NULL PRIMARY KEY,
  points  INT             NOT NULL DEFAULT 0,
  expire  BIGINT UNSIGNED NULL
) ENGINE = InnoDB;

-- Work that only one process may do at a time.
CREATE TABLE leases (
  name        VARCHAR(60) NOT NULL PRIMARY KEY,
  holder      UUID        NOT NULL,
  expires_at  DATETIME(3) NOT NULL
) ENGINE = InnoDB;
