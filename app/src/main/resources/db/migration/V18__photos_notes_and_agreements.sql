-- Photos of steps; faults of kinds of devices; what an owner has agreed to.

create table commissioning_photo (
  site_id text not null,
  round integer not null,
  id uuid not null,
  step text not null,
  -- without anything that a camera writes beside the picture
  jpeg bytea not null,
  taken_by text not null references account (name),
  taken_at timestamptz not null,
  primary key (site_id, round, id),
  foreign key (site_id, round) references commissioning_round (site_id, number)
);

-- Something seen at one kind of device: it is told at every site that has one.
create table profile_note (
  id uuid primary key,
  profile text not null,
  text text not null,
  -- from which firmware on it is so; null for all
  firmware text,
  noted_by text not null references account (name),
  noted_at timestamptz not null,
  withdrawn_by text references account (name),
  withdrawn_at timestamptz
);
create index profile_note_of on profile_note (profile) where withdrawn_at is null;

-- That the owner agreed to a revision, in words of who asked them.
create table revision_agreement (
  site_id text not null,
  revision integer not null,
  agreed_by text not null,
  agreed_on date not null,
  noted_by text not null references account (name),
  noted_at timestamptz not null,
  primary key (site_id, revision),
  foreign key (site_id, revision) references revision (site_id, number)
);
