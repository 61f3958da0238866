-- Pictures in labs, each under the hash of what is kept of it: decoded and written anew, nothing but the picture.
create table picture (
  id text primary key,
  media text not null,
  width int not null,
  height int not null,
  body bytea not null,
  brought_by uuid not null references account,
  brought_at timestamptz not null
);
create index on picture (brought_by);

-- A teacher's own labs lie in folders, can be put on the shelf for colleagues, and taken away: what was given stays.
alter table lab add column folder text not null default '';
alter table lab add column shared_at timestamptz;
alter table lab add column removed_at timestamptz;

-- Whoever knows this key reads when a class's labs are due, as calendars do, without signing in.
alter table school_class add column calendar_key text unique;

-- Which version of each apparatus's model a lab was made ready with; nothing is known of those made before.
alter table lab_version add column models jsonb not null default '{}';
