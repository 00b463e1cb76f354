-- What was done at a bench, kept under a name to be played again.
create table bench_script (
  site_id text not null references site (id),
  name text not null check (length(name) between 1 and 120),
  live boolean not null,
  seconds double precision not null,
  turns jsonb not null,
  author text not null references account (name),
  saved_at timestamptz not null,
  primary key (site_id, name)
);
