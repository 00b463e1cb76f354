-- Accounts that an organisation runs itself: administrators, states, second factors, links to set a password, tokens for scripts.
alter table account drop constraint account_role_check;
alter table account
  add check (role in ('ADMINISTRATOR', 'TECHNICIAN', 'OBSERVER')),
  add column writes_to_devices boolean not null default false,
  add column active boolean not null default true,
  -- Goes up with whatever ends the sessions of an account.
  add column epoch integer not null default 0,
  add column second_factor text,
  -- The last step of time whose code was used: each works once.
  add column second_factor_step bigint not null default 0;

create table organisation (
  one boolean primary key default true check (one),
  name text not null check (length(name) between 1 and 120),
  second_factor_required boolean not null default false
);
insert into organisation (name) values ('Off-grid crew');

-- A link to set a password with: for an account that is there, or for the first administrator. Only its hash is kept.
create table one_time_link (
  hash text primary key,
  account text unique references account (name),
  expires_at timestamptz not null
);
create unique index one_time_link_first on one_time_link ((account is null)) where account is null;

create table api_token (
  id uuid primary key,
  account text not null references account (name),
  name text not null check (length(name) between 1 and 120),
  hash text not null unique,
  changes boolean not null,
  made_at timestamptz not null,
  expires_at timestamptz not null,
  unique (account, name)
);

-- A site that is in a crew is for its members, as far as their role goes; one that is in none is for everybody.
create table crew (
  id uuid primary key,
  name text not null unique check (length(name) between 1 and 120),
  version integer not null default 0
);
create table crew_member (
  crew uuid not null references crew (id) on delete cascade,
  account text not null references account (name),
  changes boolean not null,
  primary key (crew, account)
);
create table crew_site (
  crew uuid not null references crew (id) on delete cascade,
  site_id text not null references site (id),
  primary key (crew, site_id)
);
create index crew_site_of on crew_site (site_id);

-- Who did what, when and from where. Nothing here is ever changed or taken away by the application.
create table audit (
  id bigint generated always as identity primary key,
  at timestamptz not null,
  account text not null,
  via text not null,
  address text not null,
  deed text not null,
  site text not null,
  detail text not null
);
create index audit_of_site on audit (site, id desc);
create index audit_of_account on audit (account, id desc);
