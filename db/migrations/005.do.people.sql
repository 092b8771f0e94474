-- Whoever dresses others; days in the studio's own time zone; keys and references that carry the studio, so that
-- nothing of one studio can point into another; colours that were never entered; answers with the version of their shape.

alter table studios add column time_zone text not null default 'UTC' check (length(time_zone) between 1 and 64);

alter table fittings drop constraint fittings_client_id_fkey, drop constraint fittings_shirt_id_fkey,
  drop constraint fittings_jacket_id_fkey, drop constraint fittings_tie_id_fkey;
alter table outfits drop constraint outfits_client_id_fkey, drop constraint outfits_shirt_id_fkey,
  drop constraint outfits_jacket_id_fkey, drop constraint outfits_square_id_fkey;
alter table squares drop constraint squares_client_id_fkey, drop constraint squares_tie_id_fkey;
alter table ties drop constraint ties_client_id_fkey, drop constraint ties_out_with_fkey;
alter table jackets drop constraint jackets_client_id_fkey;
alter table shirts drop constraint shirts_client_id_fkey;

alter table client_measures drop constraint client_measures_client_id_fkey, drop constraint client_measures_pkey,
  add column studio_id uuid;
update client_measures set studio_id = (select studio_id from clients where clients.id = client_id);
alter table client_measures alter column studio_id set not null;

alter table clients drop constraint clients_pkey, add primary key (studio_id, id);
alter table shirts drop constraint shirts_pkey, add primary key (studio_id, id);
alter table jackets drop constraint jackets_pkey, add primary key (studio_id, id);
alter table ties drop constraint ties_pkey, add primary key (studio_id, id);
alter table squares drop constraint squares_pkey, add primary key (studio_id, id);
alter table outfits drop constraint outfits_pkey, add primary key (studio_id, id);
alter table namings drop constraint namings_pkey, add primary key (studio_id, id);
alter table fittings drop constraint fittings_pkey, add primary key (studio_id, id);

create table people (
  id uuid not null,
  studio_id uuid not null references studios,
  version integer not null default 1,
  archived boolean not null default false,
  name label not null,
  note words not null default '',
  blade text not null check (blade in ('right', 'left')),
  pins text not null check (pins in ('left', 'right', 'changes')),
  gap_mm millimetres not null check (gap_mm between 0 and 60),
  reads_at text not null check (reads_at in ('open', 'crossed', 'snug')),
  button text not null check (button in ('first', 'last')),
  tightens text not null check (tightens in ('blade', 'tail')),
  keeper text not null check (keeper in ('before', 'after')),
  tucks text not null check (tucks in ('keeper', 'buttons', 'anywhere')),
  search text generated always as (lower(name || ' ' || note)) stored,
  created_at timestamptz not null default now(),
  primary key (studio_id, id)
);

alter table client_measures add primary key (studio_id, client_id, measure, taken_on),
  add constraint client_measures_client_id_fkey foreign key (studio_id, client_id) references clients;
alter table shirts add constraint shirts_client_id_fkey foreign key (studio_id, client_id) references clients;
alter table jackets add constraint jackets_client_id_fkey foreign key (studio_id, client_id) references clients;
alter table ties add constraint ties_client_id_fkey foreign key (studio_id, client_id) references clients,
  add constraint ties_out_with_fkey foreign key (studio_id, out_with) references clients;
alter table squares add constraint squares_client_id_fkey foreign key (studio_id, client_id) references clients,
  add constraint squares_tie_id_fkey foreign key (studio_id, tie_id) references ties;
alter table outfits add constraint outfits_client_id_fkey foreign key (studio_id, client_id) references clients,
  add constraint outfits_shirt_id_fkey foreign key (studio_id, shirt_id) references shirts,
  add constraint outfits_jacket_id_fkey foreign key (studio_id, jacket_id) references jackets,
  add constraint outfits_square_id_fkey foreign key (studio_id, square_id) references squares;
alter table fittings
  add column person_id uuid,
  add column person_name label,
  add column answer_version integer not null default 1 check (answer_version >= 1),
  add constraint fittings_client_id_fkey foreign key (studio_id, client_id) references clients,
  add constraint fittings_shirt_id_fkey foreign key (studio_id, shirt_id) references shirts,
  add constraint fittings_jacket_id_fkey foreign key (studio_id, jacket_id) references jackets,
  add constraint fittings_tie_id_fkey foreign key (studio_id, tie_id) references ties,
  add constraint fittings_person_id_fkey foreign key (studio_id, person_id) references people;

-- The usual aim is the middle of what is right; who was entered before keeps theirs.
alter table clients alter column aim set default 'finger-above';

-- A colour that was never entered is none.
alter table shirts alter column colour drop not null;
alter table jackets alter column colour drop not null;
alter table ties drop constraint ties_colours_check, add constraint ties_colours_check
  check (cardinality(colours) <= 4 and array_to_string(colours, ' ') ~ '^(#[0-9a-f]{6}( #[0-9a-f]{6})*)?$');
alter table squares drop constraint squares_colours_check, add constraint squares_colours_check
  check (cardinality(colours) <= 4 and array_to_string(colours, ' ') ~ '^(#[0-9a-f]{6}( #[0-9a-f]{6})*)?$');

drop index shirts_of_client, jackets_of_client, ties_of_client, squares_of_client, outfits_of_client, fittings_of_client;
create index shirts_of_client on shirts (studio_id, client_id);
create index jackets_of_client on jackets (studio_id, client_id);
create index ties_of_client on ties (studio_id, client_id);
create index squares_of_client on squares (studio_id, client_id);
create index outfits_of_client on outfits (studio_id, client_id);
create index fittings_of_client on fittings (studio_id, client_id, created_at desc);
