-- The scheduler's own table, as its library wants it: which node does what is decided here, for any number of nodes.
create table scheduled_tasks (
  task_name text not null,
  task_instance text not null,
  task_data bytea,
  execution_time timestamptz not null,
  picked boolean not null,
  picked_by text,
  last_success timestamptz,
  last_failure timestamptz,
  consecutive_failures integer,
  last_heartbeat timestamptz,
  version bigint not null,
  priority smallint,
  primary key (task_name, task_instance)
);
create index scheduled_tasks_due on scheduled_tasks (execution_time);
create index scheduled_tasks_alive on scheduled_tasks (last_heartbeat);

-- Long work: what was asked, how far it is, what came of it. A run is its inputs; its trace is not kept here.
create table work (
  id text primary key,
  site_id text not null references site (id),
  kind text not null,
  account text not null references account (name),
  request jsonb not null,
  state text not null check (state in ('waiting', 'running', 'done', 'cancelled', 'failed')),
  cancel_wanted boolean not null default false,
  progress double precision not null default 0 check (progress between 0 and 1),
  partial jsonb,
  result jsonb,
  message text not null default '',
  node text not null default '',
  created_at timestamptz not null,
  changed_at timestamptz not null
);
create index work_of_site on work (site_id, created_at desc);

-- Weather files that were taken in for a site.
create table weather_file (
  site_id text not null references site (id),
  id text not null,
  name text not null check (length(name) between 1 and 120),
  first_step timestamptz not null,
  step_seconds integer not null,
  steps integer not null,
  notes text not null,
  samples bytea not null,
  imported_by text not null references account (name),
  imported_at timestamptz not null,
  primary key (site_id, id)
);
