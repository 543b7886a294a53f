-- Exercises that a patient may do one notch harder on a good day, by somebody's word in writing. The latest word on an exercise holds.
CREATE TABLE harder_days (
  clinic_id   UUID         NOT NULL,
  id          UUID         NOT NULL,
  episode_id  UUID         NOT NULL,
  item_id     UUID         NOT NULL,
  allowed     BOOLEAN      NOT NULL,
  reason      VARCHAR(400) NOT NULL,
  at          DATETIME(3)  NOT NULL,
  signed_by   UUID         NOT NULL,
  PRIMARY KEY (clinic_id, id),
  KEY harder_days_episode (clinic_id, episode_id, at),
  CONSTRAINT harder_days_item FOREIGN KEY (clinic_id, episode_id, item_id) REFERENCES plan_items (clinic_id, episode_id, id),
  CONSTRAINT harder_days_staff FOREIGN KEY (clinic_id, signed_by) REFERENCES staff (clinic_id, id)
) ENGINE = InnoDB;
