-- The studio, its people, what they wear, and the fittings made for them. Lengths in millimetres.

create domain millimetres as double precision check (value is null or (value > -10000 and value < 10000));
create domain colour as text check (value ~ '^#[0-9a-f]{6}$');
create domain label as text check (length(trim(value)) between 1 and 120);

create table studios (
  id uuid primary key,
  name label not null,
  units text not null default 'cm' check (units in ('cm', 'in')),
  created_at timestamptz not null default now()
);

create table clients (
  id uuid primary key,
  studio_id uuid not null references studios,
  name label not null,
  note text not null default '',
  height_mm millimetres not null check (height_mm between 900 and 2300),
  neck_mm millimetres not null check (neck_mm between 240 and 600),
  front_drop_mm millimetres check (front_drop_mm between 200 and 750),
  blade text not null default 'right' check (blade in ('right', 'left')),
  crossing_gap_mm millimetres not null default 0 check (crossing_gap_mm between 0 and 60),
  created_at timestamptz not null default now()
);

-- A shirt, jacket or tie without a client is the studio's own.
create table shirts (
  id uuid primary key,
  studio_id uuid not null references studios,
  client_id uuid references clients,
  label label not null,
  collar_point_mm millimetres not null check (collar_point_mm between 40 and 140),
  collar_spread_mm millimetres not null check (collar_spread_mm between 20 and 280),
  tie_space_mm millimetres not null check (tie_space_mm between 0 and 30),
  collar_allowance_mm millimetres not null default 25 check (collar_allowance_mm between 0 and 60),
  buttons_mm double precision[] not null
    check (cardinality(buttons_mm) between 1 and 12 and 20 <= all (buttons_mm) and 900 >= all (buttons_mm)),
  colour colour not null,
  created_at timestamptz not null default now(),
  constraint collar_closes check (collar_spread_mm <= 2 * collar_point_mm and collar_spread_mm > tie_space_mm)
);

create table jackets (
  id uuid primary key,
  studio_id uuid not null references studios,
  client_id uuid references clients,
  label label not null,
  lapel_mm millimetres not null check (lapel_mm between 30 and 160),
  waistcoat boolean not null default false,
  colour colour not null,
  created_at timestamptz not null default now()
);

create table ties (
  id uuid primary key,
  studio_id uuid not null references studios,
  client_id uuid references clients,
  label label not null,
  length_mm millimetres not null check (length_mm between 600 and 2000),
  blade_mm millimetres not null check (blade_mm between 25 and 130),
  neck_mm millimetres not null check (neck_mm between 12 and 80),
  neck_at_mm millimetres not null check (neck_at_mm between 250 and 1500),
  tail_mm millimetres not null check (tail_mm between 12 and 110),
  thickness_mm millimetres not null check (thickness_mm between 0.8 and 8),
  keeper_mm millimetres not null check (keeper_mm between 60 and 500),
  fabric text not null
    check (fabric in ('woven-silk', 'printed-silk', 'satin', 'grenadine', 'wool', 'cotton', 'linen', 'knit', 'polyester')),
  pattern text not null check (pattern in ('solid', 'stripe', 'dots', 'check', 'large')),
  colours text[] not null
    check (cardinality(colours) between 1 and 4 and array_to_string(colours, ' ') ~ '^#[0-9a-f]{6}( #[0-9a-f]{6})*$'),
  created_at timestamptz not null default now(),
  constraint tie_tapers check (neck_mm <= tail_mm and tail_mm <= blade_mm),
  constraint keeper_on_blade check (keeper_mm < neck_at_mm),
  constraint neck_within check (neck_at_mm > blade_mm and neck_at_mm < length_mm - tail_mm)
);

-- A fitting keeps what it was made from and what it answered, so that it never changes
-- when a client's measures do. The references only say whose it was.
create table fittings (
  id uuid primary key,
  studio_id uuid not null references studios,
  client_id uuid references clients,
  shirt_id uuid references shirts,
  jacket_id uuid references jackets,
  tie_id uuid references ties,
  client_name label not null,
  shirt_label label not null,
  jacket_label label,
  tie_label label not null,
  cloth jsonb not null check (jsonb_typeof(cloth) = 'object'),
  request jsonb not null check (jsonb_typeof(request) = 'object'),
  knot text not null check (knot ~ '^([LCR][io] )+T$'),
  answer jsonb not null check (jsonb_typeof(answer) = 'object'),
  note text not null default '' check (length(note) <= 2000),
  created_at timestamptz not null default now()
);

create index clients_by_name on clients (studio_id, lower(name));
create index shirts_of_client on shirts (client_id);
create index jackets_of_client on jackets (client_id);
create index ties_of_client on ties (client_id);
create index fittings_latest on fittings (studio_id, created_at desc);
create index fittings_of_client on fittings (client_id, created_at desc);
