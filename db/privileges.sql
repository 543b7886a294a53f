-- What the application's own account may do. Facts: read and append, nothing else.
-- Every table must stand in one of the two groups; a test compares this file with the schema.
-- Mutable: heads, identity, sign-in state, leases
GRANT SELECT ON clinics TO {{app}};
GRANT SELECT ON staff TO {{app}};
GRANT SELECT ON schema_migrations TO {{app}};
GRANT SELECT, INSERT, UPDATE, DELETE ON staff_sessions TO {{app}};
GRANT SELECT, INSERT, UPDATE, DELETE ON sign_in_limits TO {{app}};
GRANT SELECT, INSERT, UPDATE, DELETE ON leases TO {{app}};
GRANT SELECT, INSERT, UPDATE ON people TO {{app}};
GRANT SELECT, INSERT, UPDATE ON episodes TO {{app}};
GRANT SELECT, INSERT, UPDATE, DELETE ON intake_drafts TO {{app}};
GRANT SELECT, INSERT, UPDATE, DELETE ON session_drafts TO {{app}};
GRANT SELECT, INSERT, UPDATE, DELETE ON caseload_rows TO {{app}};
-- Facts: append only
GRANT SELECT, INSERT ON definitions TO {{app}};
GRANT SELECT, INSERT ON episode_definitions TO {{app}};
GRANT SELECT, INSERT ON stage_moves TO {{app}};
GRANT SELECT, INSERT ON school_settings TO {{app}};
GRANT SELECT, INSERT ON restrictions TO {{app}};
GRANT SELECT, INSERT ON plan_items TO {{app}};
GRANT SELECT, INSERT ON sessions TO {{app}};
GRANT SELECT, INSERT ON session_sets TO {{app}};
GRANT SELECT, INSERT ON next_day_reports TO {{app}};
GRANT SELECT, INSERT ON measure_results TO {{app}};
GRANT SELECT, INSERT ON decisions TO {{app}};
GRANT SELECT, INSERT ON prescriptions TO {{app}};
GRANT SELECT, INSERT ON clearances TO {{app}};
GRANT SELECT, INSERT ON audit_log TO {{app}};
GRANT SELECT, INSERT ON catalogue_changes TO {{app}};
GRANT SELECT, INSERT ON item_endings TO {{app}};
GRANT SELECT, INSERT ON measure_visits TO {{app}};
GRANT SELECT, INSERT ON passing_settings TO {{app}};
GRANT SELECT, INSERT ON intakes TO {{app}};
GRANT SELECT, INSERT ON circumstances TO {{app}};
GRANT SELECT, INSERT ON stop_signals TO {{app}};
GRANT SELECT, INSERT ON signal_clearances TO {{app}};
GRANT SELECT, INSERT ON flare_attributions TO {{app}};
GRANT SELECT, INSERT ON documents TO {{app}};
GRANT SELECT, INSERT ON call_settings TO {{app}};
GRANT SELECT, INSERT ON receipts TO {{app}};
GRANT SELECT, INSERT ON events TO {{app}};
GRANT SELECT, INSERT ON condition_changes TO {{app}};
GRANT SELECT, INSERT ON criterion_words TO {{app}};
GRANT SELECT, INSERT ON red_flag_ticks TO {{app}};
GRANT SELECT, INSERT ON arrangements TO {{app}};
GRANT SELECT, INSERT ON lifts TO {{app}};
GRANT SELECT, INSERT ON small_doses TO {{app}};
