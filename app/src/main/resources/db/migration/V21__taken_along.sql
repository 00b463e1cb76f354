-- Sites that are taken along: so long (d) they open without a sign-in, who took some, and what is left of accounts that were withdrawn.
alter table organisation add column offline_days integer not null default 14 check (offline_days between 0 and 90);

-- Made once by whoever sends a revision: sent twice, it is saved once.
alter table revision add column request uuid;
create unique index revision_request on revision (site_id, request) where request is not null;

create table taken_along (
  id uuid primary key,
  account text not null references account (name),
  hash text not null unique,
  made_at timestamptz not null,
  contact_at timestamptz not null
);

create table left_work (
  id uuid primary key,
  account text not null references account (name),
  taken_along uuid not null,
  left_at timestamptz not null,
  says text not null,
  work text not null
);
create index left_work_of on left_work (taken_along);
