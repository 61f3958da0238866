-- A teacher follows a work, and how the bench stands that its student has in front. Told anew every few seconds by the
-- server that the teacher's page listens to, so it goes out by itself, and pages tell of their bench only meanwhile.
create table following (
  work_id uuid primary key references work on delete cascade,
  since timestamptz not null,
  until timestamptz not null,
  block text,
  recipe text,
  time double precision,
  pace double precision
);
