-- Trials: two ways in the same trays, drawn by lot, read once at the planned end.
create table trial (
    id uuid not null primary key,
    nursery_id uuid not null,
    stock_plant_id uuid not null,
    plant varchar(120) not null,
    protocol varchar(80) not null,
    factor varchar(20) not null,
    first_arm varchar(120) not null,
    second_arm varchar(120) not null,
    per_arm int not null,
    tray_rows int not null,
    tray_columns int not null,
    seed bigint not null,
    ends_on date not null,
    stuck_on date,
    peeked_on date,
    peeked_by varchar(120),
    closed_on date,
    said varchar(1000),
    person_name varchar(120) not null,
    made_at datetime(6) not null,
    constraint trial_nursery foreign key (nursery_id) references nursery (id),
    constraint trial_plant foreign key (stock_plant_id) references stock_plant (id)
);
create table trial_tray (
    id uuid not null primary key,
    nursery_id uuid not null,
    trial_id uuid not null,
    tray int not null,
    batch_id uuid not null,
    batch_code varchar(20) not null,
    constraint trial_tray_nursery foreign key (nursery_id) references nursery (id),
    constraint trial_tray_trial foreign key (trial_id) references trial (id) on delete cascade,
    constraint trial_tray_batch foreign key (batch_id) references batch (id) on delete cascade
);
