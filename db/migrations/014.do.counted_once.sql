-- The book’s version counts changes that were committed, so one transaction counts once: to count every row of a large one anew made
-- each of them slower than the one before.

alter table book_versions add column counted_in xid8;

create or replace function count_up_book() returns trigger language plpgsql as $$
begin
  insert into book_versions (studio_id, version, counted_in) values (coalesce(new.studio_id, old.studio_id), 1, pg_current_xact_id())
    on conflict (studio_id) do update set version = book_versions.version + 1, counted_in = excluded.counted_in
    where book_versions.counted_in is distinct from excluded.counted_in;
  return null;
end $$;
