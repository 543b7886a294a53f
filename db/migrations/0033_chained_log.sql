-- The log says from where somebody asked, how it ended, and what a write left in the record: a digest of each row. Its lines are
-- chained: each link is made over the one before, with a key that is not in the database, so that whoever rewrites a line or a
-- signed fact is found out.
ALTER TABLE audit_log
  ADD COLUMN seq BIGINT UNSIGNED NOT NULL AUTO_INCREMENT,
  ADD COLUMN wrote MEDIUMTEXT NULL,
  ADD COLUMN address VARCHAR(45) NULL,
  ADD COLUMN outcome ENUM ('done', 'refused', 'failed') NOT NULL DEFAULT 'done',
  ADD UNIQUE KEY audit_log_seq (seq);

CREATE TABLE audit_chain (
  clinic_id UUID            NOT NULL,
  link      BIGINT UNSIGNED NOT NULL,
  audit_id  UUID            NOT NULL,
  hash      BINARY(32)      NOT NULL,
  PRIMARY KEY (clinic_id, link),
  UNIQUE KEY audit_chain_line (clinic_id, audit_id),
  CONSTRAINT audit_chain_clinic FOREIGN KEY (clinic_id) REFERENCES clinics (id)
) ENGINE = InnoDB;

-- Every line up to this one is in the chain.
CREATE TABLE audit_sealed (
  one    TINYINT         NOT NULL,
  up_to  BIGINT UNSIGNED NOT NULL,
  PRIMARY KEY (one)
) ENGINE = InnoDB;
INSERT INTO audit_sealed (one, up_to) VALUES (1, 0);

-- Which episodes an erasure took, so that their rows are missed by nobody.
ALTER TABLE erasures ADD COLUMN episodes JSON NULL;
