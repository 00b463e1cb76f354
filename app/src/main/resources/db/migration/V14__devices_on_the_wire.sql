-- Devices that are reached over a wire: in which networks, at which address, and what is being written to them.

alter table organisation add column device_networks text not null default '';

create table device_connection (
  site_id text not null references site (id),
  device text not null,
  host text not null,
  port integer not null check (port between 1 and 65535),
  unit integer not null check (unit between 0 and 255),
  set_by text not null references account (name),
  set_at timestamptz not null,
  primary key (site_id, device)
);

-- What goes into a device. As long as it has not ended, the device may be half written: it is sent on or rolled back.
create table transfer (
  id uuid primary key,
  site_id text not null references site (id),
  device text not null,
  revision integer not null,
  begun_by text not null references account (name),
  begun_at timestamptz not null,
  stage text not null,
  rolls_back boolean not null default false,
  written integer not null default 0,
  problem text,
  content jsonb not null,
  ended_at timestamptz
);
create unique index transfer_open on transfer (site_id, device) where ended_at is null;
create index transfer_of_site on transfer (site_id, begun_at);

-- Who writes at an address right now; who stops renewing it has lost it.
create table device_lease (
  address text primary key,
  transfer uuid not null,
  holder uuid not null,
  until timestamptz not null
);
