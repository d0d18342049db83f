-- The trial in whose trays a batch stands is a field of it, no longer words among its treatments; treatments are stored as codes, which are
-- a little longer than words (the next migration reads the words). What a batch stands in holds its measured figures in brackets.
alter table batch
    add column trial_id uuid null,
    modify column vessel varchar(200) null,
    modify column treatment varchar(600) not null;
alter table evidence_batch
    add column of_trial boolean not null default false,
    modify column treatment varchar(600) not null;
alter table neighbour_way modify column treatment varchar(600) not null;
update batch b join trial_tray t on t.batch_id = b.id set b.trial_id = t.trial_id;
update evidence_batch e join trial_tray t on t.batch_id = e.batch_id set e.of_trial = true;
