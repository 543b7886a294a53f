-- A stage is signed with its reason behind words of our own: both must fit, where the longest reason is typed.
ALTER TABLE stage_moves MODIFY reason VARCHAR(2000) NOT NULL;
