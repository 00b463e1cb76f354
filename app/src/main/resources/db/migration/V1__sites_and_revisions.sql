-- Accounts, sites, their plans as numbered revisions, imported consumption profiles.

create table account (
  name text primary key,
  full_name text not null,
  password_hash text not null,
  role text not null check (role in ('TECHNICIAN', 'OBSERVER'))
);

create table sign_in_failure (
  account text not null,
  address text not null,
  at timestamptz not null default now()
);

create index sign_in_failure_at on sign_in_failure (at);

create table site (
  id text primary key,
  name text not null,
  created_at timestamptz not null default now()
);

-- A revision is whole and never changes; the next one names it as its parent.
create table revision (
  site_id text not null references site (id),
  number integer not null check (number >= 0),
  parent integer,
  schema_version integer not null,
  document jsonb not null,
  note text not null,
  author text not null references account (name),
  saved_at timestamptz not null default now(),
  primary key (site_id, number),
  foreign key (site_id, parent) references revision (site_id, number),
  check (number = 0 and parent is null or number = parent + 1)
);

create table consumption_profile (
  site_id text not null references site (id),
  id text not null,
  name text not null,
  starts_at timestamptz,
  lines integer not null check (lines > 0),
  span_seconds double precision not null,
  mean_watts double precision not null,
  highest_watts double precision not null,
  samples bytea not null,
  imported_by text not null references account (name),
  imported_at timestamptz not null default now(),
  primary key (site_id, id)
);
