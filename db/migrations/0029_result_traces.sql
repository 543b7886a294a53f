-- What a device told while a result was taken, trial by trial, packed: drawn again from the record.
CREATE TABLE result_traces (
  clinic_id   UUID        NOT NULL,
  id          UUID        NOT NULL,
  episode_id  UUID        NOT NULL,
  result_id   UUID        NOT NULL,
  trial       TINYINT     NOT NULL,
  device      VARCHAR(60) NOT NULL,
  unit        VARCHAR(20) NOT NULL,
  sample_hz   DOUBLE      NOT NULL,
  step        DOUBLE      NOT NULL,
  samples     MEDIUMBLOB  NOT NULL,
  recorded_at DATETIME(3) NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY result_traces_episode (clinic_id, episode_id, result_id),
  CONSTRAINT result_traces_result FOREIGN KEY (clinic_id, result_id) REFERENCES measure_results (clinic_id, id),
  CONSTRAINT result_traces_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id)
) ENGINE = InnoDB;
