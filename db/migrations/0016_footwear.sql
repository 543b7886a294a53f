-- What was on the feet in a session: recorded, never judged.
ALTER TABLE sessions ADD COLUMN footwear VARCHAR(10) NULL AFTER other_load;
