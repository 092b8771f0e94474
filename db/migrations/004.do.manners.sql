-- Knots beyond the classic family: an open front, tied with the narrow end, turns held loose. And
-- which of several knots a person means by a name that they share.

create function is_knot_word(word text) returns boolean immutable strict language sql
  return word ~ '^(N )?(\(?[LCR][io](\)[0-9]*)? )+[TDH]$';

alter table fittings drop constraint fittings_knot_check, add constraint fittings_knot_check check (is_knot_word(knot));
alter table clients drop constraint clients_own_knot_check, add constraint clients_own_knot_check check (is_knot_word(own_knot));
alter table namings drop constraint namings_word_check, add constraint namings_word_check check (is_knot_word(word));

alter table clients
  add column means_windsor text check (means_windsor in (
    'Li Co Ri Lo Ci Ro Li Co T', 'Li Co Li Ro Ci Ro Li Co T', 'Li Co Li Ro Ci Lo Ri Co T', 'Li Co Ri Lo Ci Lo Ri Co T')),
  add column means_half_windsor text check (means_half_windsor in ('Li Ro Ci Lo Ri Co T', 'Li Ro Ci Ro Li Co T'));
