-- The patient's own phone: links and codes that open one person's plan, the phones that were opened by them, what they send,
-- and short messages to them. Only hashes of what opens anything are kept.
CREATE TABLE phone_links (
  clinic_id   UUID        NOT NULL,
  id          UUID        NOT NULL,
  episode_id  UUID        NOT NULL,
  token_hash  BINARY(32)  NOT NULL,
  code_hash   BINARY(32)  NOT NULL,
  made_by     UUID        NOT NULL,
  made_at     DATETIME(3) NOT NULL,
  expires_at  DATETIME(3) NOT NULL,
  ended_at    DATETIME(3) NULL,
  PRIMARY KEY (clinic_id, id),
  UNIQUE KEY phone_links_token (token_hash),
  UNIQUE KEY phone_links_code (code_hash),
  KEY phone_links_episode (clinic_id, episode_id, made_at),
  CONSTRAINT phone_links_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT phone_links_staff FOREIGN KEY (clinic_id, made_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;

CREATE TABLE phones (
  clinic_id   UUID        NOT NULL,
  id          UUID        NOT NULL,
  episode_id  UUID        NOT NULL,
  link_id     UUID        NOT NULL,
  token_hash  BINARY(32)  NOT NULL,
  opened_at   DATETIME(3) NOT NULL,
  seen_at     DATETIME(3) NOT NULL,
  ended_at    DATETIME(3) NULL,
  ended_by    ENUM ('patient', 'clinic') NULL,
  PRIMARY KEY (clinic_id, id),
  UNIQUE KEY phones_token (token_hash),
  KEY phones_episode (clinic_id, episode_id, opened_at),
  CONSTRAINT phones_link FOREIGN KEY (clinic_id, link_id) REFERENCES phone_links (clinic_id, id),
  CONSTRAINT phones_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id)
) ENGINE = InnoDB;

-- What a patient said on a phone has no member of staff behind it; when it happened and when it came stand beside each other.
ALTER TABLE sessions
  MODIFY recorded_by UUID NULL,
  ADD COLUMN phone_id UUID NULL,
  ADD COLUMN alone BOOLEAN NULL,
  ADD COLUMN skipped JSON NULL,
  ADD CONSTRAINT sessions_by CHECK (recorded_by IS NOT NULL OR phone_id IS NOT NULL),
  ADD CONSTRAINT sessions_phone FOREIGN KEY (clinic_id, phone_id) REFERENCES phones (clinic_id, id);
ALTER TABLE next_day_reports
  MODIFY recorded_by UUID NULL,
  ADD COLUMN phone_id UUID NULL,
  ADD CONSTRAINT next_day_reports_by CHECK (recorded_by IS NOT NULL OR phone_id IS NOT NULL),
  ADD CONSTRAINT next_day_reports_phone FOREIGN KEY (clinic_id, phone_id) REFERENCES phones (clinic_id, id);
ALTER TABLE stop_signals
  MODIFY recorded_by UUID NULL,
  ADD COLUMN phone_id UUID NULL,
  ADD CONSTRAINT stop_signals_by CHECK (recorded_by IS NOT NULL OR phone_id IS NOT NULL),
  ADD CONSTRAINT stop_signals_phone FOREIGN KEY (clinic_id, phone_id) REFERENCES phones (clinic_id, id);
ALTER TABLE receipts MODIFY received_by UUID NULL;
ALTER TABLE audit_log ADD COLUMN phone_id UUID NULL;

-- From the clinic to the patient, one way.
CREATE TABLE messages (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  episode_id  UUID         NOT NULL,
  words       VARCHAR(400) NOT NULL,
  written_by  UUID         NOT NULL,
  at          DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY messages_episode (clinic_id, episode_id, at),
  CONSTRAINT messages_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT messages_staff FOREIGN KEY (clinic_id, written_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;
