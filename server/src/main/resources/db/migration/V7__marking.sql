-- A teacher's own comments, to be offered again.
create index on mark (marked_by);
