-- How a work stood when it was last asked for. It holds as long as nothing was added to the work since: the last entry
-- it has counted is still the last, and tries, marks, openings and trials are still as many. All of them are only ever
-- added to, by the transactions that keep them, so no second writing can be forgotten.
create table standing (
  work_id uuid primary key references work,
  seq bigint not null,
  added bigint not null,
  part int,
  points double precision not null,
  unmarked boolean not null,
  tries int not null,
  last_entry timestamptz
);
