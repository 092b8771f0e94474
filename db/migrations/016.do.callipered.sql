-- A knot can be measured with a calliper all round: how wide it is below, and how deep.
alter table tyings
  add column bottom_mm millimetres check (bottom_mm between 5 and 160),
  add column depth_mm millimetres check (depth_mm between 5 and 90);
