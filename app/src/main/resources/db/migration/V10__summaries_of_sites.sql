-- What the list says of a site, worked out with each save and anew where the engine is another, so that a look at the list computes nothing.
create table site_summary (
  site_id text primary key references site (id),
  revision integer not null,
  engine text not null,
  -- Why the newest revision cannot be read; null where it can, and there is what stands in it.
  unreadable text,
  plan jsonb,
  dangers integer not null default 0,
  cautions integer not null default 0,
  unsent integer not null default 0,
  drifted integer not null default 0
);

-- What of an outlook says how much a site needs somebody.
alter table outlook
  add column cut integer not null default 0,
  add column cut_is_likely boolean not null default false;
update outlook set cut = (worked_out #>> '{outlook,cut}')::integer,
  cut_is_likely = worked_out #>> '{outlook,likelyWithinDays}' is not null;

-- What waited before there was an order waits like all else.
update scheduled_tasks set priority = 0 where priority is null;
