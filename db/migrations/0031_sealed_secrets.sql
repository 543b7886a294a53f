-- The secret of an authenticator app is sealed where the installation has a key for it; sealed it is longer.
ALTER TABLE second_factors MODIFY secret VARCHAR(255) NOT NULL;
