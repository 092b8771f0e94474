-- The fit book: what became of each tying. One of a fitting has the fitting's id.
create table tyings (
  id uuid not null,
  studio_id uuid not null references studios,
  version integer not null default 1,
  archived boolean not null default false,
  label label not null,
  source text not null check (source in ('fitting', 'stand', 'known')),
  client_id uuid,
  tie_id uuid,
  knot text not null check (is_knot_word(knot)),
  person_id uuid,
  neck text not null check (neck in ('self', 'facing', 'behind', 'ownNeck', 'stand')),
  done_on text not null check (done_on ~ '^\d{4}-\d{2}-\d{2}$'),
  state text not null check (state in ('open', 'crossed', 'snug')),
  "end" text not null check ("end" in ('tail', 'blade')),
  set_mm millimetres check (set_mm between 50 and 1400),
  tip_off_mm millimetres check (tip_off_mm between -900 and 900),
  tail_end_mm millimetres check (tail_end_mm between 30 and 1000),
  tries integer not null default 1 check (tries between 1 and 50),
  minutes integer check (minutes between 0 and 240),
  top_mm millimetres check (top_mm between 10 and 160),
  height_mm millimetres check (height_mm between 10 and 160),
  lean text check (lean in ('level', 'slight-left', 'slight-right', 'clear-left', 'clear-right')),
  findings text[] not null default '{}' check (cardinality(findings) <= 40),
  client_verdict text check (client_verdict in ('again', 'fine', 'other')),
  stylist_verdict text check (stylist_verdict in ('again', 'fine', 'other')),
  counts boolean not null default true,
  note words not null default '',
  figures jsonb not null check (jsonb_typeof(figures) = 'object'),
  search text generated always as (lower(label || ' ' || note)) stored,
  created_at timestamptz not null default now(),
  primary key (studio_id, id),
  constraint tyings_client_id_fkey foreign key (studio_id, client_id) references clients,
  constraint tyings_tie_id_fkey foreign key (studio_id, tie_id) references ties,
  constraint tyings_person_id_fkey foreign key (studio_id, person_id) references people
);

create index tyings_by_client on tyings (studio_id, client_id, done_on);
create index tyings_by_tie on tyings (studio_id, tie_id, done_on);

-- What a tying was before each change of it, and before it was deleted.
create table tying_history (
  studio_id uuid not null references studios,
  tying_id uuid not null,
  version integer not null,
  was jsonb not null,
  deleted boolean not null,
  changed_at timestamptz not null default now(),
  primary key (studio_id, tying_id, version, deleted)
);

create function keep_tying() returns trigger language plpgsql as $$
begin
  insert into tying_history (studio_id, tying_id, version, was, deleted)
    values (old.studio_id, old.id, old.version, to_jsonb(old) - 'search', tg_op = 'DELETE')
    on conflict do nothing;
  return coalesce(new, old);
end $$;

create trigger tyings_kept before update or delete on tyings for each row execute function keep_tying();

-- Counts up whenever something is written that the book learns from.
create table book_versions (
  studio_id uuid primary key references studios,
  version bigint not null default 0
);

create function count_up_book() returns trigger language plpgsql as $$
begin
  insert into book_versions (studio_id, version) values (coalesce(new.studio_id, old.studio_id), 1)
    on conflict (studio_id) do update set version = book_versions.version + 1;
  return null;
end $$;

create trigger tyings_counted after insert or update or delete on tyings for each row execute function count_up_book();
create trigger fittings_counted after insert or update or delete on fittings for each row execute function count_up_book();
create trigger measures_counted after insert or update or delete on client_measures for each row execute function count_up_book();
