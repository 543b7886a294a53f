-- What stands in a clinic to load with: weights by kit, and bands as it measured them. The latest setting holds.
CREATE TABLE shelf_settings (
  clinic_id  UUID        NOT NULL,
  id         UUID        NOT NULL,
  shelf      JSON        NOT NULL,
  set_by     UUID        NOT NULL,
  at         DATETIME(3) NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY shelf_settings_latest (clinic_id, at),
  CONSTRAINT shelf_settings_staff FOREIGN KEY (clinic_id, set_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;
