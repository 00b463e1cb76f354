-- What the application may, granted anew after every migration: it reads and writes, makes no tables, and changes nothing of the trail.
grant usage on schema public to ${application};
grant select, insert, update, delete on all tables in schema public to ${application};
grant usage, select on all sequences in schema public to ${application};
revoke update, delete, truncate on audit from ${application};
revoke all on flyway_schema_history from ${application};
