-- What a studio kept when this was the latest version.
insert into studios (id, name) values ('00000000-0000-4000-8000-000000000001', 'Earlier studio');
insert into clients (id, studio_id, name, height_mm, neck_mm, front_drop_mm) values ('00000000-0000-4000-8000-000000000002', '00000000-0000-4000-8000-000000000001', 'Earlier Client', 1780, 395, 455);
insert into shirts (id, studio_id, client_id, label, collar_point_mm, collar_spread_mm, tie_space_mm, buttons_mm, colour)
  values ('00000000-0000-4000-8000-000000000003', '00000000-0000-4000-8000-000000000001', '00000000-0000-4000-8000-000000000002', 'Earlier shirt', 75, 110, 8, '{70,160,250}', '#ffffff');
insert into jackets (id, studio_id, client_id, label, lapel_mm, colour) values ('00000000-0000-4000-8000-000000000004', '00000000-0000-4000-8000-000000000001', '00000000-0000-4000-8000-000000000002', 'Earlier jacket', 85, '#222b3a');
insert into ties (id, studio_id, label, length_mm, blade_mm, neck_mm, neck_at_mm, tail_mm, thickness_mm, keeper_mm, fabric, pattern, colours)
  values ('00000000-0000-4000-8000-000000000005', '00000000-0000-4000-8000-000000000001', 'Earlier tie', 1470, 85, 34, 840, 48, 3.2, 230, 'woven-silk', 'solid', '{#22314f}');
