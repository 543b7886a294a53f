-- Two who change the clinic's own exercises at the same moment wait for each other, at several servers too: each raises this number.
ALTER TABLE clinics ADD COLUMN catalogue_version INT UNSIGNED NOT NULL DEFAULT 0;
