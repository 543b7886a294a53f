-- Colleagues are added, changed and deactivated by a lead; everybody has a password, sessions and a second factor of their own.
ALTER TABLE staff ADD COLUMN preferences JSON NULL;

-- What was changed about a colleague, with what it was before; passwords and secrets never stand here.
CREATE TABLE staff_changes (
  clinic_id  UUID         NOT NULL,
  id         UUID         NOT NULL,
  staff_id   UUID         NOT NULL,
  kind       VARCHAR(30)  NOT NULL,
  before_it  VARCHAR(200) NULL,
  after_it   VARCHAR(200) NULL,
  reason     VARCHAR(400) NULL,
  made_by    UUID         NOT NULL,
  at         DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY staff_changes_of (clinic_id, staff_id, at),
  CONSTRAINT staff_changes_staff FOREIGN KEY (clinic_id, staff_id) REFERENCES staff (clinic_id, id),
  CONSTRAINT staff_changes_by FOREIGN KEY (clinic_id, made_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- A link with which somebody sets a password, once; only the SHA-256 of its token is kept.
CREATE TABLE password_links (
  clinic_id   UUID        NOT NULL,
  token_hash  BINARY(32)  NOT NULL,
  staff_id    UUID        NOT NULL,
  made_by     UUID        NOT NULL,
  made_at     DATETIME(3) NOT NULL,
  expires_at  DATETIME(3) NOT NULL,
  used_at     DATETIME(3) NULL,
  PRIMARY KEY (clinic_id, token_hash),
  UNIQUE KEY password_links_token (token_hash),
  CONSTRAINT password_links_staff FOREIGN KEY (clinic_id, staff_id) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- The secret of an authenticator app; it counts once a code of it has been entered. No step of time is taken twice.
CREATE TABLE second_factors (
  clinic_id     UUID         NOT NULL,
  staff_id      UUID         NOT NULL,
  secret        VARCHAR(64)  NOT NULL,
  confirmed_at  DATETIME(3)  NULL,
  last_step     BIGINT       NOT NULL DEFAULT 0,
  PRIMARY KEY (clinic_id, staff_id),
  CONSTRAINT second_factors_staff FOREIGN KEY (clinic_id, staff_id) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- Codes for the day the app is lost, each for one use; only their SHA-256 is kept.
CREATE TABLE recovery_codes (
  clinic_id  UUID        NOT NULL,
  staff_id   UUID        NOT NULL,
  code_hash  BINARY(32)  NOT NULL,
  used_at    DATETIME(3) NULL,
  PRIMARY KEY (clinic_id, staff_id, code_hash),
  CONSTRAINT recovery_codes_staff FOREIGN KEY (clinic_id, staff_id) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;
