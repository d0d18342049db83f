-- What a nursery has made its usual way, for a plant or for all, on the strength of its own record.
create table usual_way (
    id uuid not null primary key,
    nursery_id uuid not null,
    plant varchar(120) not null,
    factor varchar(20) not null,
    value varchar(300) not null,
    why varchar(600) not null,
    person_name varchar(120) not null,
    said_at datetime(6) not null,
    constraint usual_way_nursery foreign key (nursery_id) references nursery (id),
    constraint usual_way_once unique (nursery_id, plant, factor)
);
