-- Identity stands in its own table, so that it can be removed without touching what was done.
CREATE TABLE people (
  clinic_id    UUID         NOT NULL,
  id           UUID         NOT NULL,
  given_name   VARCHAR(80)  NOT NULL,
  family_name  VARCHAR(80)  NOT NULL,
  born_on      DATE         NOT NULL,
  activity     VARCHAR(120) NOT NULL,
  created_at   DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  CONSTRAINT people_clinic FOREIGN KEY (clinic_id) REFERENCES clinics (id)
) ENGINE = InnoDB;

-- Exercises, measures and pathways as they stood: immutable, named by the hash of their content.
CREATE TABLE definitions (
  clinic_id   UUID        NOT NULL,
  hash        CHAR(64)    NOT NULL,
  kind        ENUM ('exercise', 'measure', 'pathway') NOT NULL,
  code        VARCHAR(80) NOT NULL,
  body        JSON        NOT NULL,
  created_at  DATETIME(3) NOT NULL,
  PRIMARY KEY (clinic_id, hash),
  KEY definitions_code (clinic_id, kind, code, created_at),
  CONSTRAINT definitions_clinic FOREIGN KEY (clinic_id) REFERENCES clinics (id)
) ENGINE = InnoDB;

-- The head of an episode: the only row of it that changes. `version` rises with every write to the episode.
CREATE TABLE episodes (
  clinic_id      UUID         NOT NULL,
  id             UUID         NOT NULL,
  person_id      UUID         NOT NULL,
  region         VARCHAR(40)  NOT NULL,
  diagnosis_text VARCHAR(160) NOT NULL,
  involved_side  ENUM ('left', 'right', 'both') NOT NULL,
  onset_on       DATE         NOT NULL,
  pathway_hash   CHAR(64)     NOT NULL,
  started_at     DATETIME(3)  NOT NULL,
  ended_at       DATETIME(3)  NULL,
  version        INT UNSIGNED NOT NULL DEFAULT 1,
  PRIMARY KEY (clinic_id, id),
  KEY episodes_active (clinic_id, ended_at, id),
  CONSTRAINT episodes_person FOREIGN KEY (clinic_id, person_id) REFERENCES people (clinic_id, id),
  CONSTRAINT episodes_pathway FOREIGN KEY (clinic_id, pathway_hash) REFERENCES definitions (clinic_id, hash)
) ENGINE = InnoDB;

CREATE TABLE episode_definitions (
  clinic_id   UUID     NOT NULL,
  episode_id  UUID     NOT NULL,
  hash        CHAR(64) NOT NULL,
  PRIMARY KEY (clinic_id, episode_id, hash),
  CONSTRAINT episode_definitions_episode FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT episode_definitions_hash FOREIGN KEY (clinic_id, hash) REFERENCES definitions (clinic_id, hash)
) ENGINE = InnoDB;
