-- Fittings are ordered by their knot: its title stands beside the answer, which is long and kept apart from the row.
alter table fittings add column title text generated always as (answer->>'title') stored;
create index fittings_by_title on fittings (studio_id, lower(title), created_at desc, id);
create index fittings_by_client_name on fittings (studio_id, lower(client_name), created_at desc, id);
create index fittings_by_tie_label on fittings (studio_id, lower(tie_label), created_at desc, id);
create index fittings_newest on fittings (studio_id, created_at desc, id);
drop index fittings_latest;
