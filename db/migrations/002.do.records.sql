-- Clients in full, the history of their measures, outfits, pocket squares; records that can be
-- put away and that count their changes. Lengths in millimetres.

create domain short_text as text check (length(value) <= 120);
create domain words as text check (length(value) <= 2000);
create domain cloth_code as text check
  (value in ('woven-silk', 'printed-silk', 'satin', 'grenadine', 'wool', 'cotton', 'linen', 'knit', 'polyester'));
create domain pattern_code as text check (value in ('solid', 'stripe', 'dots', 'check', 'large'));

alter table clients
  add column version integer not null default 1,
  add column archived boolean not null default false,
  add column nickname short_text not null default '',
  add column email short_text not null default '',
  add column phone short_text not null default '',
  add column address short_text not null default '',
  add column front text not null default 'mens' check (front in ('mens', 'womens')),
  add column belt_height_mm millimetres not null default 35 check (belt_height_mm between 15 and 80),
  add column tied_by text not null default 'client' check (tied_by in ('client', 'stylist', 'helper')),
  add column practice text not null default 'some' check (practice in ('new', 'some', 'fluent')),
  add column own_knot text check (own_knot ~ '^([LCR][io] )+T$'),
  add column symmetry text not null default 'either' check (symmetry in ('either', 'level', 'relaxed')),
  add column dimple text not null default 'off-centre' check (dimple in ('centred', 'off-centre', 'none')),
  add column release text not null default 'either' check (release in ('either', 'wanted')),
  add column neck_band text not null default 'hidden' check (neck_band in ('hidden', 'tolerated')),
  add column aim text not null default 'belt-top'
    check (aim in ('belt-top', 'finger-above', 'belt-middle', 'buckle', 'navel-to-buckle', 'hidden')),
  add column units text check (units in ('cm', 'in')),
  add column cautions text[] not null default '{}' check (cautions <@ array['tight-collar', 'small-child', 'machinery']);

-- One taking of one measure. The newest of each counts; a second one on the same day replaces the first.
create table client_measures (
  client_id uuid not null references clients,
  measure text not null check (measure in ('heightMm', 'neckMm', 'frontDropMm')),
  mm millimetres not null,
  how text not null check (how in ('tape', 'estimate')),
  taken_on date not null,
  primary key (client_id, measure, taken_on),
  constraint measure_in_range check (case measure
    when 'heightMm' then mm between 900 and 2300
    when 'neckMm' then mm between 240 and 600
    else mm between 200 and 750 end)
);

insert into client_measures (client_id, measure, mm, how, taken_on)
  select id, 'heightMm', height_mm, 'tape', created_at::date from clients
  union all select id, 'neckMm', neck_mm, 'tape', created_at::date from clients
  union all select id, 'frontDropMm', front_drop_mm, 'tape', created_at::date from clients where front_drop_mm is not null;

alter table clients drop column height_mm, drop column neck_mm, drop column front_drop_mm;

alter table shirts
  add column version integer not null default 1,
  add column archived boolean not null default false,
  add column note words not null default '',
  add column collar_style text not null default 'semi-spread' check (collar_style in
    ('long-point', 'point', 'semi-spread', 'wide-spread', 'cutaway', 'club', 'button-down', 'tab', 'pin')),
  add column stand_mm millimetres check (stand_mm between 15 and 70),
  add column pattern pattern_code not null default 'solid',
  add column second_colour colour;

alter table jackets
  add column version integer not null default 1,
  add column archived boolean not null default false,
  add column note words not null default '',
  add column lapel_kind text not null default 'notch' check (lapel_kind in ('notch', 'peak', 'shawl')),
  add column cut text not null default 'single' check (cut in ('single', 'double')),
  add column buttoning_mm millimetres check (buttoning_mm between 120 and 700),
  add column worn text not null default 'open' check (worn in ('open', 'closed'));

alter table ties
  add column version integer not null default 1,
  add column archived boolean not null default false,
  add column note words not null default '',
  add column shares integer[] check (cardinality(shares) between 1 and 4 and 1 <= all (shares) and 100 >= all (shares)),
  add column construction text not null default 'three-fold'
    check (construction in ('three-fold', 'six-fold', 'seven-fold', 'unlined', 'knitted')),
  add column ends text not null default 'pointed' check (ends in ('pointed', 'square')),
  add column profile jsonb not null default '[]' check (jsonb_typeof(profile) = 'array' and jsonb_array_length(profile) <= 12),
  add column state text not null default 'rack' check (state in ('rack', 'out', 'resting', 'repair')),
  add column out_with uuid references clients,
  add constraint a_share_a_colour check (shares is null or cardinality(shares) = cardinality(colours));
update ties set ends = 'square' where fabric = 'knit';

create table squares (
  id uuid primary key,
  studio_id uuid not null references studios,
  client_id uuid references clients,
  version integer not null default 1,
  archived boolean not null default false,
  label label not null,
  note words not null default '',
  fabric cloth_code not null,
  colours text[] not null
    check (cardinality(colours) between 1 and 4 and array_to_string(colours, ' ') ~ '^#[0-9a-f]{6}( #[0-9a-f]{6})*$'),
  shares integer[] check (cardinality(shares) between 1 and 4 and 1 <= all (shares) and 100 >= all (shares)),
  tie_id uuid references ties,
  created_at timestamptz not null default now(),
  constraint a_share_a_colour check (shares is null or cardinality(shares) = cardinality(colours))
);

create table outfits (
  id uuid primary key,
  studio_id uuid not null references studios,
  client_id uuid not null references clients,
  version integer not null default 1,
  archived boolean not null default false,
  label label not null,
  note words not null default '',
  shirt_id uuid not null references shirts,
  jacket_id uuid references jackets,
  square_id uuid references squares,
  occasion short_text not null default '',
  dress_rule text not null check (dress_rule in ('relaxed', 'business', 'formal', 'uniform')),
  belt_line_mm millimetres check (belt_line_mm between 200 and 750),
  belt_height_mm millimetres check (belt_height_mm between 15 and 80),
  created_at timestamptz not null default now()
);

-- What is searched by typing.
alter table clients add column search text generated always as (lower(name || ' ' || nickname || ' ' || note)) stored;
alter table shirts add column search text generated always as (lower(label || ' ' || collar_style || ' ' || note)) stored;
alter table jackets add column search text generated always as (lower(label || ' ' || lapel_kind || ' ' || note)) stored;
alter table ties add column search text generated always as (lower(label || ' ' || fabric || ' ' || pattern || ' ' || note)) stored;
alter table squares add column search text generated always as (lower(label || ' ' || fabric || ' ' || note)) stored;
alter table outfits add column search text generated always as (lower(label || ' ' || occasion || ' ' || note)) stored;

create index ties_by_name on ties (studio_id, lower(label));
create index squares_by_name on squares (studio_id, lower(label));
create index squares_of_client on squares (client_id);
create index outfits_of_client on outfits (client_id);
