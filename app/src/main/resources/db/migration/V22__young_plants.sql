-- Looks at young plants, what they measure, and what they have come to. They go with their move, where that is taken back.
create table young_look (
    id uuid not null primary key,
    nursery_id uuid not null,
    batch_id uuid not null,
    potting_id uuid not null,
    seen_on date not null,
    holds integer not null,
    growing integer not null,
    wobbles integer not null,
    hanging integer not null,
    lost integer not null,
    cause varchar(20),
    lost_settled boolean not null,
    settles boolean not null,
    withdrawn boolean not null,
    note varchar(300),
    person_name varchar(120) not null,
    noted_at datetime(6) not null,
    constraint young_look_nursery foreign key (nursery_id) references nursery (id),
    constraint young_look_batch foreign key (batch_id) references batch (id) on delete cascade,
    constraint young_look_potting foreign key (potting_id) references potting (id) on delete cascade,
    index young_look_of (nursery_id, potting_id, seen_on)
);
create table young_measure (
    id uuid not null primary key,
    nursery_id uuid not null,
    batch_id uuid not null,
    potting_id uuid not null,
    measured_on date not null,
    height_mm integer,
    spread_mm integer,
    leaves integer,
    person_name varchar(120) not null,
    constraint young_measure_nursery foreign key (nursery_id) references nursery (id),
    constraint young_measure_batch foreign key (batch_id) references batch (id) on delete cascade,
    constraint young_measure_potting foreign key (potting_id) references potting (id) on delete cascade,
    index young_measure_of (nursery_id, potting_id, measured_on)
);
create table young_mark (
    id uuid not null primary key,
    nursery_id uuid not null,
    batch_id uuid not null,
    potting_id uuid not null,
    mark varchar(20) not null,
    reached_on date not null,
    plants integer not null,
    person_name varchar(120) not null,
    constraint young_mark_nursery foreign key (nursery_id) references nursery (id),
    constraint young_mark_batch foreign key (batch_id) references batch (id) on delete cascade,
    constraint young_mark_potting foreign key (potting_id) references potting (id) on delete cascade,
    index young_mark_of (nursery_id, potting_id, reached_on)
);
alter table batch_sent add column fate varchar(20) not null default 'SENT';
