-- What a revision changed, in sentences, one a line; and a name for one that is worth finding again.
alter table revision add column changes text not null default '';
alter table revision add column name text check (length(name) between 1 and 120);

-- What somebody has changed and not yet saved as a revision, kept as they go.
create table draft (
  site_id text not null references site (id),
  account text not null references account (name),
  parent integer not null,
  document jsonb not null,
  saved_at timestamptz not null,
  primary key (site_id, account)
);
