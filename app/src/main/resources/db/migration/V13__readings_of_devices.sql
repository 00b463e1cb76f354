-- What was read off a device at one time, entry by entry, with what the newest plan wanted there then. Nothing here is changed.
create table device_reading (
  site_id text not null references site (id),
  device text not null,
  id uuid not null,
  read_at timestamptz not null,
  read_by text not null references account (name),
  revision integer not null,
  entries jsonb not null,
  primary key (site_id, device, id)
);
create index device_reading_at on device_reading (site_id, device, read_at);
