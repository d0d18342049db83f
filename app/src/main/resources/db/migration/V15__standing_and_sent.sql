-- Where a batch stood and stands when, whole (pieces is null) or some of its pieces; until is null while it does.
create table batch_stand (
    id uuid not null primary key,
    nursery_id uuid not null,
    batch_id uuid not null,
    place_id uuid not null,
    place_name varchar(80) not null,
    pieces integer,
    cells varchar(200),
    since date not null,
    until date,
    person_name varchar(120) not null,
    constraint batch_stand_nursery foreign key (nursery_id) references nursery (id),
    constraint batch_stand_batch foreign key (batch_id) references batch (id),
    constraint batch_stand_place foreign key (place_id) references place (id),
    index batch_stand_of (nursery_id, batch_id)
);
-- Batches that stand together in one vessel have one number.
alter table batch add column together uuid;
-- What was sent away: how many, in what state, to whom.
create table batch_sent (
    id uuid not null primary key,
    nursery_id uuid not null,
    batch_id uuid not null,
    sent_on date not null,
    pieces integer not null,
    state varchar(20) not null,
    to_whom varchar(120) not null,
    person_name varchar(120) not null,
    constraint batch_sent_nursery foreign key (nursery_id) references nursery (id),
    constraint batch_sent_batch foreign key (batch_id) references batch (id),
    index batch_sent_of (nursery_id, batch_id)
);
alter table batch add column sent_ready integer not null default 0;
-- Pieces that did not go into pots here, but left.
alter table potting add column away boolean not null default false;
alter table potting add column sent_unsettled integer not null default 0;
alter table potting add column sent_settled integer not null default 0;
