-- Labs that teachers write themselves. A shipped lab has a slug and no owner, a teacher's own an owner and no slug.
alter table lab alter column slug drop not null;
alter table lab add column owner_id uuid references account;
alter table lab add constraint shipped_or_own check ((slug is null) <> (owner_id is null));
create index on lab (owner_id);

-- What a lab's sheet was at a moment while it was written; it may be full of faults. The newest is the draft.
create table draft (
  id uuid primary key,
  lab_id uuid not null references lab,
  number int not null,
  sheet jsonb not null,
  saved_at timestamptz not null,
  unique (lab_id, number)
);
