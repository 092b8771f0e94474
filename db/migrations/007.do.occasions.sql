-- A crest or single motif lands where it was meant to show: how far it sits from the tip is a measure of the tie.

alter table ties add column motif_mm millimetres check (motif_mm between 20 and 700);

-- What a service or a house prescribes, as of a day. What is null is left to whoever dresses.
create table regulations (
  id uuid not null,
  studio_id uuid not null references studios,
  version integer not null default 1,
  archived boolean not null default false,
  label label not null,
  note words not null default '',
  as_of text not null check (as_of ~ '^\d{4}-\d{2}-\d{2}$'),
  knot text check (is_knot_word(knot)),
  dimple text check (dimple in ('centred', 'off-centre', 'none')),
  aim text check (aim in ('finger-above', 'belt-top', 'belt-middle', 'buckle', 'navel-to-buckle', 'hidden')),
  collar_rule text check (collar_rule in ('thirds', 'proportion')),
  lapel_rule text check (lapel_rule in ('match', 'within-inch')),
  search text generated always as (lower(label || ' ' || note)) stored,
  created_at timestamptz not null default now(),
  primary key (studio_id, id)
);

-- An occasion may fall under one; and a tie is chosen for the whole outfit, trousers too.
alter table outfits
  add column regulation_id uuid,
  add column trousers_colour text check (trousers_colour ~ '^#[0-9a-f]{6}$'),
  add constraint outfits_regulation_id_fkey foreign key (studio_id, regulation_id) references regulations;
