-- Whoever learns to tie here: pupils, clients, staff.
create table learners (
  id uuid not null,
  studio_id uuid not null references studios,
  version integer not null default 1,
  archived boolean not null default false,
  label label not null,
  who text not null check (who in ('pupil', 'client', 'staff')),
  client_id uuid,
  class text not null default '' check (length(class) <= 120),
  child boolean not null default false,
  goal text check (goal in ('90', '60', '45', '30')),
  note words not null default '',
  search text generated always as (lower(label || ' ' || class || ' ' || note)) stored,
  created_at timestamptz not null default now(),
  primary key (studio_id, id),
  constraint learners_client_id_fkey foreign key (studio_id, client_id) references clients
);

-- One timed run through a tying: the seconds of its steps, and what was remarked on it.
create table rehearsals (
  id uuid not null,
  studio_id uuid not null references studios,
  version integer not null default 1,
  archived boolean not null default false,
  label label not null,
  learner_id uuid not null,
  knot text not null check (is_knot_word(knot)),
  part text not null check (part in ('moves', 'finish', 'length')),
  done_on text not null check (done_on ~ '^\d{4}-\d{2}-\d{2}$'),
  seconds double precision[] not null default '{}' check (cardinality(seconds) <= 60 and 0 <= all (seconds) and 3600 >= all (seconds)),
  clean boolean not null default false,
  wrong text not null default '' check (length(wrong) <= 120),
  note words not null default '',
  search text generated always as (lower(label || ' ' || wrong || ' ' || note)) stored,
  created_at timestamptz not null default now(),
  primary key (studio_id, id),
  constraint rehearsals_learner_id_fkey foreign key (studio_id, learner_id) references learners
);

create index rehearsals_by_learner on rehearsals (studio_id, learner_id, done_on);
