-- A class at work: who is there, who asks for help, what the teacher tells them, and when all are to look up.

-- Of how a work stands: what was read off last, and signs that its student doesn't get on, a line for each.
alter table standing add column reading text not null default '';
alter table standing add column signs text not null default '';

-- Who has a work open. Told anew every few seconds by the server that the page listens to, so it goes out by itself.
create table presence (
  work_id uuid primary key references work on delete cascade,
  part text not null,
  since timestamptz not null,
  seen_at timestamptz not null
);

-- Someone asks for help. At most one call of a work is open.
create table help_call (
  id uuid primary key,
  work_id uuid not null references work,
  part text not null,
  block text not null,
  reading text not null,
  words text not null,
  asked_at timestamptz not null,
  ended_at timestamptz,
  ended_by uuid references account,
  changed_at timestamptz not null
);
create unique index on help_call (work_id) where ended_at is null;
create index on help_call (changed_at);

-- What a teacher writes to one student at work, or, without a work, to all who have the lab.
create table note (
  id uuid primary key,
  assignment_id uuid not null references assignment,
  work_id uuid references work,
  words text not null,
  written_by uuid not null references account,
  written_at timestamptz not null
);
create index on note (assignment_id);
create index on note (work_id);
create index on note (written_at);

create table note_read (
  note_id uuid not null references note,
  work_id uuid not null references work,
  read_at timestamptz not null,
  primary key (note_id, work_id)
);
create index on note_read (work_id);
create index on note_read (read_at);

-- A class that pauses together. It ends by itself, so that nobody stands before a closed bench because a teacher forgot.
create table pause (
  class_id uuid primary key references school_class,
  words text not null,
  since timestamptz not null,
  until timestamptz not null,
  changed_by uuid not null references account,
  changed_at timestamptz not null
);
create index on pause (changed_at);
