insert into learners (id, studio_id, label, who) values ('00000000-0000-4000-8000-000000000011', '00000000-0000-4000-8000-000000000001', 'Earlier learner', 'pupil');
insert into rehearsals (id, studio_id, label, learner_id, knot, part, done_on)
  values ('00000000-0000-4000-8000-000000000012', '00000000-0000-4000-8000-000000000001', 'Earlier run', '00000000-0000-4000-8000-000000000011', 'Li Ro Li Co T', 'moves', '2026-01-01');
