-- Programs tried on site, level by level. What was measured is only added to; a test that has ended stays as it is.

create table bench_test (
  id uuid primary key,
  site_id text not null references site (id),
  revision integer not null,
  begun_by text not null references account (name),
  begun_at timestamptz not null,
  steps jsonb not null,
  signed boolean not null default false,
  ended_by text references account (name),
  ended_at timestamptz,
  checksum text
);
create unique index bench_test_open on bench_test (site_id) where ended_at is null;
create index bench_test_of_site on bench_test (site_id, begun_at);

create table bench_test_result (
  test uuid not null references bench_test (id),
  id uuid not null,
  step text not null,
  measured double precision,
  after_seconds double precision,
  set_to double precision,
  instrument text not null,
  note text not null,
  measured_by text not null references account (name),
  measured_at timestamptz not null,
  primary key (test, id)
);

-- What was plugged in for the test, and has to be taken away.
create table bench_test_plugged (
  test uuid not null references bench_test (id),
  id uuid not null,
  what text not null,
  plugged_by text not null references account (name),
  plugged_at timestamptz not null,
  removed_by text references account (name),
  removed_at timestamptz,
  primary key (test, id)
);
