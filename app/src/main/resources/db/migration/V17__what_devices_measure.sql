-- Devices that are connected are asked by themselves: what they measure is kept, ever more thinly, and their menus are read again.

alter table device_connection
  -- When it is asked next; moved on by whichever node asks it, so that one does.
  add column ask_at timestamptz not null default now(),
  add column silent_since timestamptz,
  add column silent_why text,
  -- So often its menu is read again by itself; null for never.
  add column read_every_hours integer check (read_every_hours between 1 and 168) default 24,
  add column read_at timestamptz;

create index device_connection_ask on device_connection (ask_at);

create table measurement (
  site_id text not null references site (id),
  device text not null,
  at timestamptz not null,
  -- V at the battery; null where the device tells none.
  volts double precision,
  -- by what they are
  numbers jsonb not null,
  -- by the id of the output
  closed jsonb not null,
  primary key (site_id, device, at)
);
