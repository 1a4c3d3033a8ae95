-- What the longest dwell on a label means: off when the time is over, or kept wet and put on fresh. Null: as the family has it.
alter table product
  add column longest text check (longest in ('contact', 'wet'));
