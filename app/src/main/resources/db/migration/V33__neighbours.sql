-- Ways that other nurseries have given away, as counts without names.
create table neighbour_way (
    id uuid not null primary key,
    nursery_id uuid not null,
    file_id uuid not null,
    source varchar(80) not null,
    kind varchar(60) not null,
    plant_group varchar(60) not null,
    method varchar(120) not null,
    medium varchar(120) not null,
    treatment varchar(300) not null,
    batches longtext not null,
    steps longtext not null,
    read_at datetime(6) not null,
    person_name varchar(120) not null,
    index neighbour_way_file (nursery_id, file_id),
    constraint neighbour_way_nursery foreign key (nursery_id) references nursery (id)
);
