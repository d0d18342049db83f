-- A person may work in several nurseries, with a role in each; person.nursery_id is the one they worked in last.
create table membership (
    id uuid not null primary key,
    nursery_id uuid not null,
    person_id uuid not null,
    role varchar(10) not null,
    left_at datetime(6),
    constraint membership_nursery foreign key (nursery_id) references nursery (id),
    constraint membership_person foreign key (person_id) references person (id),
    constraint membership_once unique (person_id, nursery_id)
);
insert into membership (id, nursery_id, person_id, role, left_at) select uuid(), nursery_id, id, role, left_at from person;
alter table person drop column role;
alter table person drop column left_at;
alter table person add column units varchar(10) not null default 'METRIC';
-- A sample can be thrown away; no other nursery can.
alter table nursery add column sample boolean not null default false;
-- Whether the first steps have been gone or left out.
alter table nursery add column settled_in boolean not null default true;
