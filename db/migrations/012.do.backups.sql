-- Every backup that was made, and every one that failed: the age of the last good one is told to whoever owns the studio.
-- It is about this installation as a whole, not about one studio.
create table backups (
  made_at timestamptz primary key,
  file text not null,
  bytes bigint,
  rows bigint,
  failure text,
  check ((failure is null) = (bytes is not null and rows is not null))
);
