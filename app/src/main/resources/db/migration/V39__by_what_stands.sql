-- What was withdrawn is asked about in every question about batches: an index that does not hold it sends the question to each row.
alter table batch
    drop index batch_open,
    drop index batch_changes,
    add index batch_open (nursery_id, withdrawn_at, closed_on, code),
    add index batch_changes (nursery_id, withdrawn_at, changes),
    add index batch_gave (nursery_id, withdrawn_at, young_plants),
    add index batch_found (nursery_id, withdrawn_at, closed_on, taken_on, code, old_code, plant_name);
