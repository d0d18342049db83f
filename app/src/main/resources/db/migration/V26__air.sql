-- What loggers send and people type of the air of a place: as it was read, kept for some days; by hour and by day, kept for good.
create table logger (
    id uuid not null primary key,
    nursery_id uuid not null,
    place_id uuid not null,
    name varchar(80) not null,
    token_hash char(64) not null,
    last_seen datetime(6),
    withdrawn_at datetime(6),
    made_at datetime(6) not null,
    made_by varchar(120) not null,
    constraint logger_nursery foreign key (nursery_id) references nursery (id),
    constraint logger_place foreign key (place_id) references place (id) on delete cascade,
    constraint logger_token unique (token_hash)
);
create table air_reading (
    nursery_id uuid not null,
    place_id uuid not null,
    read_at datetime not null,
    warmth double not null,
    humidity double,
    light double,
    primary key (place_id, read_at),
    constraint air_reading_nursery foreign key (nursery_id) references nursery (id),
    constraint air_reading_place foreign key (place_id) references place (id) on delete cascade
);
create table air_hour (
    nursery_id uuid not null,
    place_id uuid not null,
    hour datetime not null,
    number int not null,
    coldest double not null,
    mean double not null,
    warmest double not null,
    humidity double,
    driest double,
    light double,
    primary key (place_id, hour),
    constraint air_hour_nursery foreign key (nursery_id) references nursery (id),
    constraint air_hour_place foreign key (place_id) references place (id) on delete cascade
);
create table air_day (
    nursery_id uuid not null,
    place_id uuid not null,
    day date not null,
    hours int not null,
    coldest double not null,
    mean double not null,
    warmest double not null,
    humidity double,
    light double,
    primary key (place_id, day),
    constraint air_day_nursery foreign key (nursery_id) references nursery (id),
    constraint air_day_place foreign key (place_id) references place (id) on delete cascade
);
-- Where on the globe a nursery is, for the length of its nights; and how long readings are kept as they came.
alter table nursery add column latitude double;
alter table nursery add column raw_days int not null default 14;
