-- The batches that ended last are read in the order of an index, instead of being put in order each time.
alter table batch
    drop index batch_open,
    add index batch_open (nursery_id, closed_on, code);
