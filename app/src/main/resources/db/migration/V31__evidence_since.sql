-- Of every batch the stamp as of which it was last told of, so that the few that changed are found without asking all.
alter table evidence_batch add column as_of bigint not null default 0;
create index evidence_batch_as_of on evidence_batch (nursery_id, as_of);
-- The stamp as of which a batch was last forgotten: whoever read before that compares all.
alter table evidence_stamp add column forgot_at bigint not null default 0;
-- As what share of itself a batch counts beside others with which it shares luck.
alter table evidence_batch add column counts_as double not null default 1;
-- Work that is done once a night for a nursery, whichever node comes to it first.
create table nightly_work (
    nursery_id uuid not null,
    name varchar(60) not null,
    done_on date not null,
    primary key (nursery_id, name),
    constraint nightly_work_nursery foreign key (nursery_id) references nursery (id)
);
-- When a batch was last written, by the database's own clock, so that the few that changed are found without asking all.
alter table batch
    add column written_at datetime(6) not null default current_timestamp(6) on update current_timestamp(6),
    add index batch_written (nursery_id, written_at),
    add index batch_changes (nursery_id, changes);
