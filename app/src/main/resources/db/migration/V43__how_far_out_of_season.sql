-- How far out of season a batch was made, 0 to 1: until now it was wholly in it or wholly out.
alter table batch add column season_out double not null default 0;
update batch set season_out = 1 where slowing <> 1 or thinning <> 1;
alter table evidence_batch add column season_out double not null default 0;
update evidence_batch set season_out = 1 where slowing <> 1 or thinning <> 1;
-- How sure somebody chose to be, in per cent.
alter table person add column sure_own integer null;
alter table person add column sure_promised integer null;
