-- What the days to the next visit probably bring, worked out at night and after each save, so that the list of sites computes nothing.
create table outlook (
  site_id text primary key references site (id),
  revision integer not null,
  begins date not null,
  days integer not null check (days between 1 and 366),
  worked_out jsonb not null
);
