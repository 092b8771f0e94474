-- A dress regulation may speak of the tie's pattern, and of how the jacket is worn. What is null is left to whoever dresses.

alter table regulations
  add column patterns text check (patterns in ('solid', 'striped', 'quiet')),
  add column jacket_worn text check (jacket_worn in ('open', 'closed'));
