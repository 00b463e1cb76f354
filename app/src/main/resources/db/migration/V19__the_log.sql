-- What happened at a site since: files of loggers, daily figures, entries by hand, when what is due; how its files are laid out.

create table file_layout (
  site_id text not null references site (id),
  kind text not null,
  -- the headings it is for, one a line; a file that has others is looked at anew
  headings text not null,
  layout jsonb not null,
  kept_by text not null references account (name),
  kept_at timestamptz not null,
  primary key (site_id, kind)
);

create table logger_file (
  site_id text not null references site (id),
  id text not null,
  name text not null,
  first_at timestamptz not null,
  last_at timestamptz not null,
  lines integer not null,
  -- what it measured and the contacts it saw, each separated by commas, in the order of the samples
  columns text not null,
  contacts text not null,
  notes text not null,
  samples bytea not null,
  imported_by text not null references account (name),
  imported_at timestamptz not null,
  primary key (site_id, id)
);

create table daily_figure (
  site_id text not null references site (id),
  day date not null,
  lowest_volts double precision not null,
  highest_volts double precision,
  in_watt_hours double precision,
  out_watt_hours double precision,
  noted_by text not null references account (name),
  noted_at timestamptz not null,
  primary key (site_id, day)
);

create table log_entry (
  site_id text not null references site (id),
  id uuid not null,
  kind text not null,
  at timestamptz not null,
  entry jsonb not null,
  made_by text not null references account (name),
  made_at timestamptz not null,
  withdrawn_by text references account (name),
  withdrawn_at timestamptz,
  primary key (site_id, id)
);
create index log_entry_newest on log_entry (site_id, at desc);

create table log_photo (
  site_id text not null,
  entry uuid not null,
  id uuid not null,
  -- without anything that a camera writes beside the picture
  jpeg bytea not null,
  taken_by text not null references account (name),
  taken_at timestamptz not null,
  primary key (site_id, entry, id),
  foreign key (site_id, entry) references log_entry (site_id, id)
);

create table upkeep_interval (
  site_id text not null references site (id),
  kind text not null,
  -- 0 for never
  every_days integer not null,
  set_by text not null references account (name),
  set_at timestamptz not null,
  primary key (site_id, kind)
);

-- Who has the address of a feed reads when what is due: of one site, or of all that the account sees.
create table calendar_feed (
  token_hash text primary key,
  account text not null references account (name),
  site_id text references site (id),
  made_at timestamptz not null
);
