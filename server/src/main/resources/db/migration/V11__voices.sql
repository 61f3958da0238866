-- Explanations that were spoken. The sound comes in pieces of a few seconds and is kept as it came.
create table voice (
  id uuid primary key,
  work_id uuid not null references work on delete cascade,
  block text not null,
  media text not null,
  begun_at timestamptz not null
);
create index on voice (work_id, block);

create table voice_piece (
  voice_id uuid not null references voice on delete cascade,
  number int not null,
  body bytea not null,
  primary key (voice_id, number)
);
