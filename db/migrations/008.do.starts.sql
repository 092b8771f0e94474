-- A start is read on a tie that hangs open or loosely crossed: the loops that takes are measured with the tie itself.

alter table client_measures drop constraint client_measures_measure_check, drop constraint measure_in_range,
  add constraint client_measures_measure_check check (measure in ('heightMm', 'neckMm', 'frontDropMm', 'openLoopMm', 'crossedLoopMm')),
  add constraint measure_in_range check (case measure
    when 'heightMm' then mm between 900 and 2300
    when 'neckMm' then mm between 240 and 600
    when 'openLoopMm' then mm between 150 and 600
    when 'crossedLoopMm' then mm between 240 and 760
    else mm between 200 and 750 end);

-- How whoever dresses tells a start, how loosely their hands cross, and their own neck, for knots that are handed over.
alter table people
  add column tells text not null default 'below' check (tells in ('below', 'button', 'body', 'fingertip', 'difference', 'mark')),
  add column slack_mm millimetres check (slack_mm between 0 and 120),
  add column neck_mm millimetres check (neck_mm between 240 and 600),
  add column height_mm millimetres check (height_mm between 900 and 2300);

-- Both ends level is an aim of its own.
alter table clients drop constraint clients_aim_check,
  add constraint clients_aim_check
    check (aim in ('finger-above', 'belt-top', 'belt-middle', 'buckle', 'navel-to-buckle', 'hidden', 'level'));
alter table regulations drop constraint regulations_aim_check,
  add constraint regulations_aim_check
    check (aim in ('finger-above', 'belt-top', 'belt-middle', 'buckle', 'navel-to-buckle', 'hidden', 'level'));

-- An occasion may have an aim of its own, as a client and a service have.
alter table outfits add column aim text
  check (aim in ('finger-above', 'belt-top', 'belt-middle', 'buckle', 'navel-to-buckle', 'hidden', 'level'));

-- The tyings of a fitting, in their order, each with its start and where the tip ended.
alter table fittings add column attempts jsonb not null default '[]';
