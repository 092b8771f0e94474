-- A piece can be taken in as a draft, with the measures such pieces usually have, until its own are taken.

alter table shirts add column draft boolean not null default false;
alter table jackets add column draft boolean not null default false;
alter table ties add column draft boolean not null default false;

-- An outfit may hold the tie that goes with it, and the knot it is worn in.
alter table outfits
  add column tie_id uuid,
  add column knot text check (is_knot_word(knot)),
  add constraint outfits_tie_id_fkey foreign key (studio_id, tie_id) references ties;
