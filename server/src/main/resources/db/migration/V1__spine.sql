-- Accounts, classes, labs, work, journal, trials, marks.
create table account (
  id uuid primary key,
  user_name text not null unique,
  display_name text not null,
  role text not null,
  secret_hash text not null,
  created_at timestamptz not null
);

create table school_class (
  id uuid primary key,
  name text not null,
  code text not null unique,
  teacher_id uuid not null references account,
  created_at timestamptz not null
);

create table membership (
  id uuid primary key,
  class_id uuid not null references school_class,
  student_id uuid not null references account,
  joined_at timestamptz not null,
  unique (class_id, student_id)
);
create index on membership (student_id);

create table lab (
  id uuid primary key,
  slug text not null unique,
  created_at timestamptz not null
);

-- A sheet never changes under a running assignment: a change makes a new version.
create table lab_version (
  id uuid primary key,
  lab_id uuid not null references lab,
  number int not null,
  sheet jsonb not null,
  created_at timestamptz not null,
  unique (lab_id, number)
);

create table assignment (
  id uuid primary key,
  class_id uuid not null references school_class,
  lab_version_id uuid not null references lab_version,
  due_at timestamptz,
  created_at timestamptz not null
);
create index on assignment (class_id);

create table work (
  id uuid primary key,
  assignment_id uuid not null references assignment,
  student_id uuid not null references account,
  seed int not null,
  started_at timestamptz not null,
  submitted_at timestamptz,
  unique (assignment_id, student_id)
);
create index on work (student_id);

-- The journal. Rows are only ever added; the newest entry of a slot is its value.
create table entry (
  id uuid primary key,
  work_id uuid not null references work,
  seq bigint generated always as identity,
  block text not null,
  slot text not null,
  value jsonb not null,
  client_time timestamptz not null,
  server_time timestamptz not null
);
create index on entry (work_id, seq);

create table trial (
  id uuid primary key,
  work_id uuid not null references work,
  block text not null,
  number int not null,
  chosen jsonb not null,
  recipe jsonb not null,
  created_at timestamptz not null,
  unique (work_id, block, number)
);

create table attempt (
  id uuid primary key,
  work_id uuid not null references work,
  block text not null,
  number text not null,
  unit text not null,
  verdict text not null,
  feedback text not null,
  points double precision not null,
  made_at timestamptz not null
);
create index on attempt (work_id);

-- Marks by a person. Rows are only ever added; the newest of a block counts.
create table mark (
  id uuid primary key,
  work_id uuid not null references work,
  block text not null,
  points double precision not null,
  comment text not null,
  marked_by uuid not null references account,
  marked_at timestamptz not null
);
create index on mark (work_id);

-- Spring Session's own tables, as its JDBC module ships them for PostgreSQL.
create table spring_session (
  primary_id char(36) not null primary key,
  session_id char(36) not null unique,
  creation_time bigint not null,
  last_access_time bigint not null,
  max_inactive_interval int not null,
  expiry_time bigint not null,
  principal_name varchar(100)
);
create index on spring_session (expiry_time);
create index on spring_session (principal_name);
create table spring_session_attributes (
  session_primary_id char(36) not null references spring_session on delete cascade,
  attribute_name varchar(200) not null,
  attribute_bytes bytea not null,
  primary key (session_primary_id, attribute_name)
);
