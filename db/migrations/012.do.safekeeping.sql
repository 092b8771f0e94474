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

-- Imports that were made under a key: sent again because the answer was lost, they are answered as they were.
create table imports_done (
  studio_id uuid not null references studios,
  key uuid not null,
  report jsonb not null,
  done_at timestamptz not null default now(),
  primary key (studio_id, key)
);
