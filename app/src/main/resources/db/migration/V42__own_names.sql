-- What a nursery calls plants that the guide does not know by that name, and which kind they behave like.
create table own_name (
    id uuid not null primary key,
    nursery_id uuid not null,
    name varchar(120) not null,
    kind varchar(80) not null,
    constraint own_name_nursery foreign key (nursery_id) references nursery (id),
    unique index own_name_name (nursery_id, name)
);
