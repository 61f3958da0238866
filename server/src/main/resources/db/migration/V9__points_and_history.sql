-- Points appear to students at once, or all together when the teacher says so.
alter table assignment add column together boolean not null default false;
alter table assignment add column points_shown_at timestamptz;

-- Why a mark takes the place of another, or of what a rule brought.
alter table mark add column reason text not null default '';

-- Every time a work was handed in: how far its journal went then, and how that ended, if it did.
create table submission (
  id uuid primary key,
  work_id uuid not null references work on delete cascade,
  submitted_at timestamptz not null,
  seq bigint not null,
  ended_at timestamptz,
  ended_by uuid references account,
  words text not null default ''
);
create index on submission (work_id);

-- What was handed in before this was kept stands as it was handed in last.
insert into submission (id, work_id, submitted_at, seq)
select gen_random_uuid(), w.id, w.submitted_at,
  coalesce((select max(seq) from entry e where e.work_id = w.id and e.server_time <= w.submitted_at), 0)
from work w where w.submitted_at is not null;
