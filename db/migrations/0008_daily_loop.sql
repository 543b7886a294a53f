-- The daily loop: stop signals and their clearing, whom a reaction is traced to, corrections, drafts, documents, and the
-- caseload as it is shown.
ALTER TABLE sessions
  ADD COLUMN supersedes UUID NULL,
  ADD KEY sessions_supersedes (clinic_id, supersedes);

ALTER TABLE next_day_reports
  ADD COLUMN settled_hours  TINYINT NULL,
  ADD COLUMN load_test_pain TINYINT NULL,
  ADD COLUMN other_load     ENUM ('none', 'some', 'much') NULL,
  ADD CONSTRAINT next_day_reports_load_test CHECK (load_test_pain BETWEEN 0 AND 10);

CREATE TABLE stop_signals (
  clinic_id    UUID         NOT NULL,
  id           UUID         NOT NULL,
  episode_id   UUID         NOT NULL,
  code         VARCHAR(40)  NOT NULL,
  item_id      UUID         NULL,
  note         VARCHAR(400) NULL,
  occurred_at  DATETIME(3)  NOT NULL,
  received_at  DATETIME(3)  NOT NULL,
  recorded_by  UUID         NOT NULL,
  PRIMARY KEY (clinic_id, id),
  UNIQUE KEY stop_signals_of_episode (clinic_id, episode_id, id),
  KEY stop_signals_episode (clinic_id, episode_id, received_at),
  CONSTRAINT stop_signals_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT stop_signals_item FOREIGN KEY (clinic_id, episode_id, item_id)
    REFERENCES plan_items (clinic_id, episode_id, id),
  CONSTRAINT stop_signals_staff FOREIGN KEY (clinic_id, recorded_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- One clearing for each signal, in writing.
CREATE TABLE signal_clearances (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  episode_id  UUID         NOT NULL,
  signal_id   UUID         NOT NULL,
  reason      VARCHAR(400) NOT NULL,
  signed_by   UUID         NOT NULL,
  at          DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  UNIQUE KEY signal_clearances_signal (clinic_id, episode_id, signal_id),
  CONSTRAINT signal_clearances_signal_fk FOREIGN KEY (clinic_id, episode_id, signal_id)
    REFERENCES stop_signals (clinic_id, episode_id, id),
  CONSTRAINT signal_clearances_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

CREATE TABLE flare_attributions (
  clinic_id      UUID         NOT NULL,
  id             UUID         NOT NULL,
  episode_id     UUID         NOT NULL,
  training_date  DATE         NOT NULL,
  item_id        UUID         NOT NULL,
  reason         VARCHAR(400) NOT NULL,
  signed_by      UUID         NOT NULL,
  at             DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY flare_attributions_episode (clinic_id, episode_id, at),
  CONSTRAINT flare_attributions_item FOREIGN KEY (clinic_id, episode_id, item_id)
    REFERENCES plan_items (clinic_id, episode_id, id),
  CONSTRAINT flare_attributions_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- A visit note or a letter as it was signed, beside the text that was proposed from the record.
CREATE TABLE documents (
  clinic_id   UUID        NOT NULL,
  id          UUID        NOT NULL,
  episode_id  UUID        NOT NULL,
  kind        ENUM ('visit-note', 'handover-letter') NOT NULL,
  body        MEDIUMTEXT  NOT NULL,
  proposed    MEDIUMTEXT  NOT NULL,
  signed_by   UUID        NOT NULL,
  at          DATETIME(3) NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY documents_episode (clinic_id, episode_id, at),
  CONSTRAINT documents_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT documents_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- A session that is being recorded: kept so that a lost connection or another device loses nothing; gone once recorded.
CREATE TABLE session_drafts (
  clinic_id   UUID        NOT NULL,
  episode_id  UUID        NOT NULL,
  id          UUID        NOT NULL,
  body        JSON        NOT NULL,
  saved_by    UUID        NOT NULL,
  saved_at    DATETIME(3) NOT NULL,
  PRIMARY KEY (clinic_id, episode_id),
  CONSTRAINT session_drafts_episode FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT session_drafts_staff FOREIGN KEY (clinic_id, saved_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- What the caseload shows of an episode, as computed from its record at one version; stale when the version has moved on,
-- when time alone would change it, or when another engine wrote it. Losing every row loses nothing.
CREATE TABLE caseload_rows (
  clinic_id        UUID         NOT NULL,
  episode_id       UUID         NOT NULL,
  episode_version  INT UNSIGNED NOT NULL,
  engine_version   VARCHAR(20)  NOT NULL,
  computed_at      DATETIME(3)  NOT NULL,
  valid_until      DATETIME(3)  NOT NULL,
  body             JSON         NOT NULL,
  PRIMARY KEY (clinic_id, episode_id),
  KEY caseload_rows_due (valid_until),
  CONSTRAINT caseload_rows_episode FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id)
) ENGINE = InnoDB;
