-- What was corrected: of what, what it was and is, who said so, when and why.
create table correction (
    id uuid not null primary key,
    nursery_id uuid not null,
    subject_id uuid not null,
    what varchar(40) not null,
    was varchar(600) not null,
    became varchar(600) not null,
    why varchar(300) not null,
    person_name varchar(120) not null,
    made_at datetime(6) not null,
    constraint correction_nursery foreign key (nursery_id) references nursery (id),
    index correction_subject (nursery_id, subject_id)
);
-- A batch that never was: it is kept, and shown nowhere but among those withdrawn.
alter table batch add column withdrawn_at datetime(6);
alter table batch add column withdrawn_by varchar(120);
alter table batch add column withdrawn_why varchar(300);
-- How many growths, crowns or bulbs went with each of its pieces, where what was cut for it was taken back with it.
alter table batch add column withdrawn_each integer;
