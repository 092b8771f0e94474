-- What the studio itself calls a knot.

create table namings (
  id uuid primary key,
  studio_id uuid not null references studios,
  version integer not null default 1,
  archived boolean not null default false,
  label label not null,
  note words not null default '',
  word text not null check (word ~ '^([LCR][io] )+T$'),
  search text generated always as (lower(label || ' ' || word || ' ' || note)) stored,
  created_at timestamptz not null default now(),
  constraint one_name_a_knot unique (studio_id, word)
);
