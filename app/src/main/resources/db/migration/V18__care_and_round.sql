-- What was done, as one of the acts that are asked for again; and the move that it concerns.
alter table care add column act varchar(20);
alter table care add column about uuid;
alter table care add index care_act (nursery_id, act, done_on);
-- Things of the round that somebody put off to a day.
create table put_off (
    id uuid not null primary key,
    nursery_id uuid not null,
    item varchar(160) not null,
    until date not null,
    word varchar(200),
    person_name varchar(120) not null,
    constraint put_off_nursery foreign key (nursery_id) references nursery (id),
    constraint put_off_once unique (nursery_id, item)
);
-- The growers' own reminders, for a day or for something that happens to a batch.
create table reminder (
    id uuid not null primary key,
    nursery_id uuid not null,
    what varchar(300) not null,
    due_on date,
    batch_id uuid,
    event varchar(20),
    place_id uuid not null,
    done_on date,
    person_name varchar(120) not null,
    constraint reminder_nursery foreign key (nursery_id) references nursery (id),
    constraint reminder_batch foreign key (batch_id) references batch (id),
    constraint reminder_place foreign key (place_id) references place (id),
    index reminder_open (nursery_id, done_on, due_on)
);
