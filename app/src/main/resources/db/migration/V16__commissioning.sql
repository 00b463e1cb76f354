-- What is done at a site step by step, a round each time. Marks are only added to; the last one of a step counts.

create table commissioning_round (
  site_id text not null references site (id),
  number integer not null,
  begun_by text not null references account (name),
  begun_at timestamptz not null,
  primary key (site_id, number)
);

create table commissioning_mark (
  site_id text not null,
  round integer not null,
  id uuid not null,
  step text not null,
  done boolean not null,
  measured text not null,
  note text not null,
  made_by text not null references account (name),
  made_at timestamptz not null,
  primary key (site_id, round, id),
  foreign key (site_id, round) references commissioning_round (site_id, number)
);
