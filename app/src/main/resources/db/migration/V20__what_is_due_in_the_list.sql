-- What of the upkeep in the log is due next at a site, for the list of sites.
alter table site_summary
  add column due date,
  add column due_kind text;
-- Worked out anew by the next node that looks.
update site_summary set engine = '';
