-- Accounts that can be switched off, ways in without an e-mail, what is done with accounts and classes, guesses.
alter table account add column active boolean not null default true;

-- A one-time way in: for the first administrator (no account yet) or for someone whose secret was reset.
create table way_in (
  id uuid primary key,
  account_id uuid references account,
  code_hash text not null unique,
  made_at timestamptz not null,
  expires_at timestamptz not null,
  used_at timestamptz
);
create index on way_in (account_id);

-- Who did what, when. Rows are only ever added; names stay readable after accounts change.
create table act (
  id uuid primary key,
  seq bigint generated always as identity,
  who uuid,
  who_name text not null,
  what text not null,
  about text not null,
  at timestamptz not null
);
create index on act (seq);

-- Wrong tries, by what was tried (a user name, or a class code), the address and the browser they came from.
create table guess (
  target text not null,
  address text not null,
  browser text not null,
  tries int not null,
  last_at timestamptz not null,
  free_at timestamptz not null,
  primary key (target, address, browser)
);
create index on guess (last_at);

-- Browsers that someone has signed in from.
create table known_browser (
  browser text not null,
  account_id uuid not null references account,
  last_at timestamptz not null,
  primary key (browser, account_id)
);

alter table school_class add column archived_at timestamptz;
alter table school_class add column joinable boolean not null default true;
alter table membership add column left_at timestamptz;

alter table assignment add column late_rule text not null default 'MARKED';
alter table assignment add column removed_at timestamptz;
-- Given to one student alone: where a student brings work into a class that was not given that lab.
alter table assignment add column only_student uuid references account;

-- Sealed predictions stand on the work's own row, so that whoever holds the row knows them.
alter table work add column sealed jsonb not null default '[]';
alter table work add column first_submitted_at timestamptz;
alter table work add column reopened_at timestamptz;
update work set first_submitted_at = submitted_at;
update work set sealed = coalesce((select jsonb_agg(distinct e.block) from entry e
  where e.work_id = work.id and e.slot = 'seal' and e.value ->> 'sealed' = 'true'), '[]');

-- Which tab or device an entry came from, so that each can be told what the others wrote.
alter table entry add column writer text not null default '';

-- A question opened again by the teacher after its tries were used up.
create table opening (
  id uuid primary key,
  work_id uuid not null references work,
  block text not null,
  opened_by uuid not null references account,
  opened_at timestamptz not null
);
create index on opening (work_id);
