-- When a token was last used, to the minute; and the codes that stand in for an authenticator that is lost, each once, as hashes.
alter table api_token add column last_used_at timestamptz;
create table recovery_code (
  account text not null references account (name),
  hash text not null,
  primary key (account, hash)
);
