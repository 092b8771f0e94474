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

-- Found by any part of a word, however many there are.
create extension if not exists pg_trgm;
alter table fittings add column search text generated always as (lower(
  client_name || ' ' || coalesce(person_name, '') || ' ' || tie_label || ' ' || shirt_label || ' ' || coalesce(jacket_label, '') || ' '
  || coalesce(answer->>'title', '') || ' ' || note)) stored;
create index clients_by_words on clients using gin (search gin_trgm_ops);
create index ties_by_words on ties using gin (search gin_trgm_ops);
create index fittings_by_words on fittings using gin (search gin_trgm_ops);
create index tyings_by_words on tyings using gin (search gin_trgm_ops);
create index fittings_in_order on fittings (studio_id, created_at, id);

-- Whoever has a page open learns of changes, whichever process made them.
create function tell_change() returns trigger language plpgsql as $$
begin
  perform pg_notify('ropewalk_changed', case tg_table_name when 'client_measures' then 'clients' else tg_table_name end);
  return null;
end $$;
do $$
declare kind text;
begin
  foreach kind in array array['studios', 'people', 'regulations', 'clients', 'client_measures', 'shirts', 'jackets', 'ties', 'squares',
    'outfits', 'namings', 'learners', 'rehearsals', 'tyings', 'cares', 'fittings', 'backups'] loop
    execute format('create trigger tell_change after insert or update or delete on %I for each statement execute function tell_change()', kind);
  end loop;
end $$;
