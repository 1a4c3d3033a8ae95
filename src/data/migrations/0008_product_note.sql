-- What a person writes beside a product, and that its safety data sheet was read where name or note speak of fluoride.
alter table product
  add column note text not null default '' check (length(note) <= 500),
  add column fluoride_checked boolean not null default false;
