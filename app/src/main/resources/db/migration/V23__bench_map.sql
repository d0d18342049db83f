-- Where benches lie in their houses and what air they have, where houses lie on the site, where vessels stand on their benches.
create table place_plan (
    id uuid not null primary key,
    nursery_id uuid not null,
    place_id uuid not null,
    house varchar(80) not null,
    x double not null,
    y double not null,
    wide double not null,
    deep double not null,
    temp_from double,
    temp_to double,
    humidity_from double,
    humidity_to double,
    light varchar(20),
    constraint place_plan_nursery foreign key (nursery_id) references nursery (id),
    constraint place_plan_place foreign key (place_id) references place (id) on delete cascade,
    constraint place_plan_once unique (nursery_id, place_id)
);
create table house_plan (
    id uuid not null primary key,
    nursery_id uuid not null,
    name varchar(80) not null,
    x double not null,
    y double not null,
    constraint house_plan_nursery foreign key (nursery_id) references nursery (id),
    constraint house_plan_once unique (nursery_id, name)
);
create table vessel_spot (
    id uuid not null primary key,
    nursery_id uuid not null,
    batch_id uuid not null,
    place_id uuid not null,
    x double not null,
    y double not null,
    constraint vessel_spot_nursery foreign key (nursery_id) references nursery (id),
    constraint vessel_spot_batch foreign key (batch_id) references batch (id) on delete cascade,
    constraint vessel_spot_place foreign key (place_id) references place (id) on delete cascade,
    constraint vessel_spot_once unique (nursery_id, batch_id)
);
-- A letter for each piece, as its looks left it: what a map draws without reading all looks.
alter table batch add column drawn text;
