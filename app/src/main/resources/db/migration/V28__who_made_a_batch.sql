-- Who made a batch, from now on: one of the things that batches may differ in.
alter table batch add column made_by varchar(120);
