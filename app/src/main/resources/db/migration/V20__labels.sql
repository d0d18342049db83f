-- Labels that were printed together; the last of a sheet tells where the next may begin.
create table label_print (
    id uuid not null primary key,
    nursery_id uuid not null,
    sheet varchar(20) not null,
    first integer not null,
    made_at datetime(6) not null,
    person_name varchar(120) not null,
    printer boolean not null,
    next varchar(20) not null,
    next_on date,
    items longtext not null,
    constraint label_print_nursery foreign key (nursery_id) references nursery (id),
    index label_print_last (nursery_id, made_at)
);
