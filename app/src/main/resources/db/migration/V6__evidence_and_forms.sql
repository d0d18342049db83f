-- What batches tell of their ways stands in tables of evidence's own. Those that are filled here hold nothing that the batches
-- do not; the tallies are told anew when the application starts.
create table evidence_stamp (
    nursery_id uuid not null primary key,
    stamp bigint not null,
    tally_format integer not null,
    constraint evidence_stamp_nursery foreign key (nursery_id) references nursery (id)
);
insert into evidence_stamp (nursery_id, stamp, tally_format) select id, evidence_stamp + 1, 0 from nursery;
alter table nursery drop column evidence_stamp;
alter table nursery drop column tally_format;

create table evidence_batch (
    id uuid not null primary key,
    nursery_id uuid not null,
    batch_id uuid not null,
    plant varchar(120) not null,
    plant_group varchar(40) not null,
    method varchar(60) not null,
    medium varchar(60) not null,
    treatment varchar(300) not null,
    own_protocol varchar(60),
    own_version integer,
    slowing double not null,
    thinning double not null,
    dried integer not null,
    stuck integer not null,
    settled integer not null,
    settled_of integer not null,
    life varchar(10) not null,
    changes integer not null,
    constraint evidence_batch_once unique (batch_id),
    constraint evidence_batch_nursery foreign key (nursery_id) references nursery (id),
    index evidence_batch_of (nursery_id)
);

-- Evidence outlives no batch, and asks no other table about it.
alter table tally drop foreign key tally_batch;
delete from tally;

-- Forms that were sent, by an id that each carries: one that is sent twice counts once.
create table sent_form (
    nursery_id uuid not null,
    id uuid not null,
    sent_at datetime(6) not null,
    answer varchar(500),
    primary key (nursery_id, id),
    index sent_form_age (sent_at),
    constraint sent_form_nursery foreign key (nursery_id) references nursery (id)
);

-- What several people may change carries the number of its changes.
alter table care add column version bigint not null default 0;
alter table place add column version bigint not null default 0;

-- Which version of an own protocol a batch was stuck under stands beside it, and no longer in the words of its treatment.
update batch set treatment = regexp_replace(regexp_replace(treatment, '(^|; )as [^;]+ version [0-9]+', ''), '^; ', '')
    where protocol like 'own-%';

-- One row, to be locked: so that there is one first person, however many press at once.
create table first_start (id integer not null primary key);
insert into first_start (id) values (1);
