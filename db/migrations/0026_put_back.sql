-- An exercise taken out of a plan by a slip, put back at once. Both stay; it may leave again later.
ALTER TABLE item_endings ADD KEY item_endings_of_item (clinic_id, episode_id, item_id);
ALTER TABLE item_endings DROP KEY item_endings_item;
CREATE TABLE item_returns (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  episode_id  UUID         NOT NULL,
  ending_id   UUID         NOT NULL,
  signed_by   UUID         NOT NULL,
  at          DATETIME(3)  NOT NULL,
  PRIMARY KEY (clinic_id, id),
  UNIQUE KEY item_returns_ending (clinic_id, ending_id),
  KEY item_returns_episode (clinic_id, episode_id, at),
  CONSTRAINT item_returns_ending_fk FOREIGN KEY (clinic_id, ending_id) REFERENCES item_endings (clinic_id, id),
  CONSTRAINT item_returns_episode_fk FOREIGN KEY (clinic_id, episode_id) REFERENCES episodes (clinic_id, id),
  CONSTRAINT item_returns_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;
