-- The clinic's own catalogue: what it added, revised, retired or took back. The exercise itself stands in
-- `definitions` under its hash, so that no version is ever altered; the latest row of a code holds.
CREATE TABLE catalogue_changes (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  seq         BIGINT UNSIGNED NOT NULL AUTO_INCREMENT,
  code        VARCHAR(80)  NOT NULL,
  action      ENUM ('add', 'revise', 'retire', 'restore') NOT NULL,
  hash        CHAR(64)     NULL,
  reason      VARCHAR(400) NULL,
  changed_by  UUID         NOT NULL,
  at          DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  UNIQUE KEY catalogue_changes_seq (seq),
  KEY catalogue_changes_code (clinic_id, code, seq),
  CONSTRAINT catalogue_changes_hash FOREIGN KEY (clinic_id, hash) REFERENCES definitions (clinic_id, hash),
  CONSTRAINT catalogue_changes_staff FOREIGN KEY (clinic_id, changed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- An item leaves the plan; what was done with it stays.
CREATE TABLE item_endings (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  episode_id  UUID         NOT NULL,
  item_id     UUID         NOT NULL,
  reason      VARCHAR(400) NOT NULL,
  signed_by   UUID         NOT NULL,
  at          DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  UNIQUE KEY item_endings_item (clinic_id, episode_id, item_id),
  CONSTRAINT item_endings_item_fk FOREIGN KEY (clinic_id, episode_id, item_id)
    REFERENCES plan_items (clinic_id, episode_id, id),
  CONSTRAINT item_endings_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;
