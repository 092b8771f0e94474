-- What happened to each tie, from a day on: where it is, how it was kept, when it was worn. Where a tie stands on a day
-- follows from it, and no longer stands in the tie.
create table cares (
  id uuid not null,
  studio_id uuid not null references studios,
  version integer not null default 1,
  archived boolean not null default false,
  label label not null,
  tie_id uuid not null,
  what text not null check (what in ('worn', 'lent', 'repair', 'looped', 'aside')),
  client_id uuid,
  from_on text not null check (from_on ~ '^\d{4}-\d{2}-\d{2}$'),
  until_on text check (until_on ~ '^\d{4}-\d{2}-\d{2}$'),
  note words not null default '',
  search text generated always as (lower(label || ' ' || note)) stored,
  created_at timestamptz not null default now(),
  primary key (studio_id, id),
  constraint cares_tie_id_fkey foreign key (studio_id, tie_id) references ties,
  constraint cares_client_id_fkey foreign key (studio_id, client_id) references clients,
  constraint not_over_before_it_began check (until_on >= from_on)
);

create index cares_by_tie on cares (studio_id, tie_id, from_on);
create index fittings_by_tie on fittings (studio_id, tie_id, created_at);

insert into cares (id, studio_id, label, tie_id, what, client_id, from_on, note)
  select gen_random_uuid(), ties.studio_id, left(ties.label, 120), ties.id,
    case state when 'out' then 'lent' when 'resting' then 'aside' else state end, out_with,
    to_char(now() at time zone studios.time_zone, 'YYYY-MM-DD'), 'Since when was not written down.'
  from ties join studios on studios.id = ties.studio_id where state <> 'rack';

alter table ties drop column state, drop column out_with;

-- The days on which a tie was knotted: worn, at a fitting or otherwise, or undone after being kept looped.
create view tie_days as
  select fittings.studio_id, fittings.tie_id, to_char(fittings.created_at at time zone studios.time_zone, 'YYYY-MM-DD') as day, true as worn
    from fittings join studios on studios.id = fittings.studio_id where fittings.tie_id is not null
  union all
  select studio_id, tie_id, from_on, true from cares where what = 'worn' and not archived
  union all
  select studio_id, tie_id, until_on, false from cares where what = 'looped' and until_on is not null and not archived;
