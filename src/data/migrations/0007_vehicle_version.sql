-- What a form shows of a vehicle is saved only over the state it was made from, like a wheel set and a product.
alter table vehicle add column version integer not null default 1 check (version > 0);
