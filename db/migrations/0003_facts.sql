-- What was placed, decided, done, reported and measured. Nothing here is ever updated or deleted by the
-- application: its account has no right to (db/privileges.sql). A correction is a new row.
CREATE TABLE stage_moves (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  episode_id  UUID         NOT NULL,
  stage       VARCHAR(40)  NOT NULL,
  reason      VARCHAR(400) NOT NULL,
  signed_by   UUID         NOT NULL,
  at          DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY stage_moves_episode (clinic_id, episode_id, at),
  CONSTRAINT stage_moves_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT stage_moves_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

CREATE TABLE school_settings (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  episode_id  UUID         NOT NULL,
  school      VARCHAR(20)  NOT NULL,
  reason      VARCHAR(400) NOT NULL,
  set_by      UUID         NOT NULL,
  at          DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY school_settings_episode (clinic_id, episode_id, at),
  CONSTRAINT school_settings_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT school_settings_staff FOREIGN KEY (clinic_id, set_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

CREATE TABLE restrictions (
  clinic_id   UUID        NOT NULL,
  id          UUID        NOT NULL,
  episode_id  UUID        NOT NULL,
  body        JSON        NOT NULL,
  set_by      UUID        NOT NULL,
  at          DATETIME(3) NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY restrictions_episode (clinic_id, episode_id, at),
  CONSTRAINT restrictions_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT restrictions_staff FOREIGN KEY (clinic_id, set_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

CREATE TABLE plan_items (
  clinic_id    UUID        NOT NULL,
  id           UUID        NOT NULL,
  episode_id   UUID        NOT NULL,
  exercise_id  VARCHAR(80) NOT NULL,
  lane         VARCHAR(40) NOT NULL,
  position     INT         NOT NULL,
  created_at   DATETIME(3) NOT NULL,
  PRIMARY KEY (clinic_id, id),
  UNIQUE KEY plan_items_of_episode (clinic_id, episode_id, id),
  CONSTRAINT plan_items_episode FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id)
) ENGINE = InnoDB;

CREATE TABLE sessions (
  clinic_id     UUID        NOT NULL,
  id            UUID        NOT NULL,
  episode_id    UUID        NOT NULL,
  occurred_at   DATETIME(3) NOT NULL,
  received_at   DATETIME(3) NOT NULL,
  pain_before   TINYINT     NOT NULL,
  minutes       SMALLINT    NULL,
  other_load    ENUM ('none', 'some', 'much') NULL,
  recorded_by   UUID        NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY sessions_episode (clinic_id, episode_id, occurred_at),
  CONSTRAINT sessions_pain CHECK (pain_before BETWEEN 0 AND 10),
  CONSTRAINT sessions_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT sessions_staff FOREIGN KEY (clinic_id, recorded_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

CREATE TABLE session_sets (
  clinic_id    UUID        NOT NULL,
  session_id   UUID        NOT NULL,
  position     SMALLINT    NOT NULL,
  item_id      UUID        NOT NULL,
  pain_during  TINYINT     NOT NULL,
  body         JSON        NOT NULL,
  PRIMARY KEY (clinic_id, session_id, position),
  CONSTRAINT session_sets_pain CHECK (pain_during BETWEEN 0 AND 10),
  CONSTRAINT session_sets_session FOREIGN KEY (clinic_id, session_id) REFERENCES sessions (clinic_id, id),
  CONSTRAINT session_sets_item FOREIGN KEY (clinic_id, item_id) REFERENCES plan_items (clinic_id, id)
) ENGINE = InnoDB;

CREATE TABLE next_day_reports (
  clinic_id          UUID        NOT NULL,
  id                 UUID        NOT NULL,
  episode_id         UUID        NOT NULL,
  training_date      DATE        NOT NULL,
  occurred_at        DATETIME(3) NOT NULL,
  received_at        DATETIME(3) NOT NULL,
  pain               TINYINT     NOT NULL,
  stiffness_minutes  SMALLINT    NULL,
  swelling           ENUM ('less', 'same', 'more') NULL,
  recorded_by        UUID        NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY next_day_reports_episode (clinic_id, episode_id, training_date),
  CONSTRAINT next_day_reports_pain CHECK (pain BETWEEN 0 AND 10),
  CONSTRAINT next_day_reports_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT next_day_reports_staff FOREIGN KEY (clinic_id, recorded_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

CREATE TABLE measure_results (
  clinic_id    UUID         NOT NULL,
  id           UUID         NOT NULL,
  episode_id   UUID         NOT NULL,
  measure      VARCHAR(60)  NOT NULL,
  side         ENUM ('left', 'right', 'none') NOT NULL,
  value        DOUBLE       NOT NULL,
  taken_on     DATE         NOT NULL,
  occasion     ENUM ('pre-injury', 'clinic-norm', 'since-injury') NOT NULL,
  way          VARCHAR(120) NULL,
  recorded_by  UUID         NOT NULL,
  recorded_at  DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY measure_results_episode (clinic_id, episode_id, measure, taken_on),
  CONSTRAINT measure_results_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT measure_results_staff FOREIGN KEY (clinic_id, recorded_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- A signed answer to a proposal, with the proposal and its evidence as they stood and the engine that made it.
CREATE TABLE decisions (
  clinic_id       UUID         NOT NULL,
  id              UUID         NOT NULL,
  episode_id      UUID         NOT NULL,
  item_id         UUID         NOT NULL,
  action          ENUM ('accept', 'change', 'refuse') NOT NULL,
  reason          VARCHAR(400) NULL,
  school          VARCHAR(20)  NOT NULL,
  engine_version  VARCHAR(20)  NOT NULL,
  proposal        JSON         NOT NULL,
  applied         JSON         NULL,
  signed_change   JSON         NULL,
  episode_version INT UNSIGNED NOT NULL,
  signed_by       UUID         NOT NULL,
  at              DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY decisions_episode (clinic_id, episode_id, at),
  CONSTRAINT decisions_item FOREIGN KEY (clinic_id, episode_id, item_id)
    REFERENCES plan_items (clinic_id, episode_id, id),
  CONSTRAINT decisions_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- The plan: the latest prescription of an item holds.
CREATE TABLE prescriptions (
  clinic_id    UUID        NOT NULL,
  id           UUID        NOT NULL,
  episode_id   UUID        NOT NULL,
  item_id      UUID        NOT NULL,
  decision_id  UUID        NULL,
  body         JSON        NOT NULL,
  signed_by    UUID        NOT NULL,
  at           DATETIME(3) NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY prescriptions_item (clinic_id, episode_id, item_id, at),
  CONSTRAINT prescriptions_item_fk FOREIGN KEY (clinic_id, episode_id, item_id)
    REFERENCES plan_items (clinic_id, episode_id, id),
  CONSTRAINT prescriptions_decision FOREIGN KEY (clinic_id, decision_id) REFERENCES decisions (clinic_id, id),
  CONSTRAINT prescriptions_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- A stop is cleared only in writing.
CREATE TABLE clearances (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  episode_id  UUID         NOT NULL,
  item_id     UUID         NOT NULL,
  reason      VARCHAR(400) NOT NULL,
  signed_by   UUID         NOT NULL,
  at          DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY clearances_episode (clinic_id, episode_id, at),
  CONSTRAINT clearances_item FOREIGN KEY (clinic_id, episode_id, item_id)
    REFERENCES plan_items (clinic_id, episode_id, id),
  CONSTRAINT clearances_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

-- Who read or changed what. Holds ids, never names or findings.
CREATE TABLE audit_log (
  clinic_id    UUID        NOT NULL,
  id           UUID        NOT NULL,
  at           DATETIME(3) NOT NULL,
  staff_id     UUID        NULL,
  action       VARCHAR(60) NOT NULL,
  object_kind  VARCHAR(40) NOT NULL,
  object_id    UUID        NULL,
  PRIMARY KEY (clinic_id, id),
  KEY audit_log_object (clinic_id, object_kind, object_id, at),
  CONSTRAINT audit_log_clinic FOREIGN KEY (clinic_id) REFERENCES clinics (id)
) ENGINE = InnoDB;
