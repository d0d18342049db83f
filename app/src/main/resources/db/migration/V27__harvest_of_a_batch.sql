-- A harvest knows the batch that it became, so that it can be taken back whatever went with each piece.
alter table harvest add column batch_id uuid;
alter table harvest add index harvest_batch (batch_id);

-- What was cut for a withdrawn batch, in all; it was kept by the piece.
alter table batch change column withdrawn_each withdrawn_cut integer;
update batch set withdrawn_cut = withdrawn_cut * taken where withdrawn_cut is not null;

-- A division whose batch is withdrawn never was.
alter table drawing add column withdrawn boolean not null default false;

-- A mix that is no longer used: its versions stay for what was mixed once.
alter table recipe add column dropped boolean not null default false;
