insert into people (id, studio_id, name, blade, pins, gap_mm, reads_at, button, tightens, keeper, tucks)
  values ('00000000-0000-4000-8000-000000000009', '00000000-0000-4000-8000-000000000001', 'Earlier Person', 'right', 'left', 0, 'open', 'first', 'tail', 'after', 'keeper');
