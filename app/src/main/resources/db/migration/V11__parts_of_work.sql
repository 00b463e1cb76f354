-- What came of the parts of long work that falls into several: each by itself, done by any node, joined when the last is done.
create table work_part (
  work_id text not null references work (id) on delete cascade,
  part integer not null check (part >= 0),
  node text not null,
  result jsonb not null,
  primary key (work_id, part)
);
