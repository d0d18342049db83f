-- Plants as they were drawn and divided.
create table drawing (
    id uuid not null primary key,
    nursery_id uuid not null,
    stock_plant_id uuid not null,
    batch_id uuid not null,
    batch_code varchar(20) not null,
    divided_on date not null,
    drawn varchar(2000) not null,
    cuts varchar(500) not null,
    person_name varchar(120) not null,
    made_at datetime(6) not null,
    constraint drawing_nursery foreign key (nursery_id) references nursery (id),
    constraint drawing_plant foreign key (stock_plant_id) references stock_plant (id) on delete cascade,
    constraint drawing_batch foreign key (batch_id) references batch (id) on delete cascade
);
