-- A site can be put away and brought back; a deleted one stays in the database, so that deleting can be taken back.

alter table site add column state text not null default 'ACTIVE' check (state in ('ACTIVE', 'ARCHIVED', 'DELETED'));
