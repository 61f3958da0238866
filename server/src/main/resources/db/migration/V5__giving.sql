-- How a lab is given: from when, how often questions may be tried (null: as the lab says), whether a student may take
-- back what is handed in until it is due.
alter table assignment add column open_at timestamptz;
alter table assignment add column tries int;
alter table assignment add column again boolean not null default false;

-- More time for one student.
create table extension (
  id uuid primary key,
  assignment_id uuid not null references assignment,
  student_id uuid not null references account,
  due_at timestamptz not null,
  given_at timestamptz not null,
  unique (assignment_id, student_id)
);

-- Work stays with the version it was begun with; the assignment names the one with which it is begun.
alter table work add column lab_version_id uuid references lab_version;
update work set lab_version_id = (select a.lab_version_id from assignment a where a.id = assignment_id);
alter table work alter column lab_version_id set not null;

-- A teacher who tries a lab has it from nobody and in no class. What is tried while it is written has no number: it
-- can't be given, and goes with the try.
alter table assignment alter column class_id drop not null;
alter table assignment add column tried_by uuid references account;
alter table assignment add constraint given_or_tried check ((class_id is null) <> (tried_by is null));
create index on assignment (tried_by) where tried_by is not null;
alter table lab_version alter column number drop not null;

-- A try that is begun anew takes all with it that was done on the one before.
alter table entry drop constraint entry_work_id_fkey,
  add foreign key (work_id) references work on delete cascade;
alter table trial drop constraint trial_work_id_fkey,
  add foreign key (work_id) references work on delete cascade;
alter table attempt drop constraint attempt_work_id_fkey,
  add foreign key (work_id) references work on delete cascade;
alter table mark drop constraint mark_work_id_fkey,
  add foreign key (work_id) references work on delete cascade;
alter table opening drop constraint opening_work_id_fkey,
  add foreign key (work_id) references work on delete cascade;
alter table standing drop constraint standing_work_id_fkey,
  add foreign key (work_id) references work on delete cascade;
