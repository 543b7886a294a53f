-- Whom to call, by urgency, in the clinic's own words; the latest setting holds. A clinic without one has its old sentence.
CREATE TABLE call_settings (
  clinic_id  UUID        NOT NULL,
  id         UUID        NOT NULL,
  calls      JSON        NOT NULL,
  set_by     UUID        NOT NULL,
  at         DATETIME(3) NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY call_settings_latest (clinic_id, at),
  CONSTRAINT call_settings_staff FOREIGN KEY (clinic_id, set_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;
