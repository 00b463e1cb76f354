-- What the list goes by, kept at each site as it is told, so that a page of ten thousand sites is found in one table.
alter table site
  -- By how much it comes first: 3 danger, 2 caution, 1 some time, 0 calm; below 0 while nothing is known of it.
  add column need smallint not null default -1,
  -- What there is to filter by: 1 findings, 2 not sent, 4 drifted.
  add column told smallint not null default 0,
  -- What of the upkeep in the log is due next.
  add column due date;

create function site_takes_what_is_told() returns trigger language plpgsql as $$
begin
  update site s set
    need = case
      when y.unreadable is not null or y.dangers > 0 then 3
      when y.drifted > 0 or y.cautions > 0 or y.unsent > 0 or coalesce(o.cut > 0 and o.cut_is_likely, false) then 2
      when coalesce(o.cut, 0) > 0 then 1
      else 0
    end,
    told = case when y.dangers + y.cautions > 0 then 1 else 0 end
      + case when y.unsent > 0 then 2 else 0 end
      + case when y.drifted > 0 then 4 else 0 end,
    due = y.due
  from site_summary y left join outlook o on o.site_id = y.site_id
  where s.id = new.site_id and y.site_id = s.id;
  return null;
end
$$;

create trigger site_summary_is_told after insert or update on site_summary
  for each row execute function site_takes_what_is_told();
create trigger outlook_is_told after insert or update on outlook
  for each row execute function site_takes_what_is_told();

update site_summary set engine = engine;
