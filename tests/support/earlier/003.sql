insert into namings (id, studio_id, label, word) values ('00000000-0000-4000-8000-000000000008', '00000000-0000-4000-8000-000000000001', 'Earlier name', 'Li Ro Li Co T');
