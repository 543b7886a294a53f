-- What a clinic begins every patient with, how it writes weights, lengths and dates, and how long it keeps a record.
ALTER TABLE clinics ADD COLUMN habits JSON NULL;
