-- Soreness beyond two days is known from the next session's word that it is still there.
ALTER TABLE sessions ADD COLUMN still_sore TINYINT(1) NULL AFTER other_load;
