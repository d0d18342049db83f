-- Batches that were timed are read by an index.
alter table batch add index batch_timed (nursery_id, minutes, protocol, taken);
-- A sealed secret is longer.
alter table second_factor modify column secret varchar(200) not null;
