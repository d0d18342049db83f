-- The currency that prices are kept in; null where nobody has said.
alter table nursery add column currency varchar(3);
