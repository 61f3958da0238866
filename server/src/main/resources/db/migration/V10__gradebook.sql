-- Kinds of labs of a class that are weighed against each other.
create table category (
  id uuid primary key,
  class_id uuid not null references school_class,
  name text not null,
  weight double precision not null,
  place int not null,
  unique (class_id, name)
);

-- Which kind a lab that was given is.
create table graded_as (
  assignment_id uuid primary key references assignment,
  category_id uuid not null references category on delete cascade
);

-- Who needn't do a lab.
create table excused (
  assignment_id uuid not null references assignment,
  student_id uuid not null references account,
  excused_by uuid not null references account,
  excused_at timestamptz not null,
  primary key (assignment_id, student_id)
);
