-- A red flag as it was ticked while an intake was being taken: unticking it leaves this behind. One row for each flag.
CREATE TABLE red_flag_ticks (
  clinic_id  UUID        NOT NULL,
  intake_id  UUID        NOT NULL,
  code       VARCHAR(40) NOT NULL,
  ticked_by  UUID        NOT NULL,
  at         DATETIME(3) NOT NULL,
  PRIMARY KEY (clinic_id, intake_id, code),
  CONSTRAINT red_flag_ticks_staff FOREIGN KEY (clinic_id, ticked_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;
