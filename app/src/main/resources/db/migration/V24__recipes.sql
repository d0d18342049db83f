-- A nursery's own mixes, each in its versions.
create table recipe (
    id uuid not null primary key,
    nursery_id uuid not null,
    name varchar(80) not null,
    version int not null,
    parts varchar(300) not null,
    settling double not null,
    note varchar(300),
    person_name varchar(120) not null,
    made_at datetime(6) not null,
    constraint recipe_nursery foreign key (nursery_id) references nursery (id),
    constraint recipe_once unique (nursery_id, name, version)
);
