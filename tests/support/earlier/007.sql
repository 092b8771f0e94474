insert into regulations (id, studio_id, label, as_of) values ('00000000-0000-4000-8000-000000000010', '00000000-0000-4000-8000-000000000001', 'Earlier rule', '2025-01-01');
