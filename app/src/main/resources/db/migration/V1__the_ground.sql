-- Every row of work belongs to one nursery. Ids are made by the application.

create table nursery (
    id uuid not null primary key,
    name varchar(120) not null,
    zone varchar(60) not null,
    hemisphere varchar(10) not null,
    evidence_stamp bigint not null default 0,
    created_at datetime(6) not null
);

create table person (
    id uuid not null primary key,
    nursery_id uuid not null,
    sign_in varchar(80) not null,
    name varchar(80) not null,
    password varchar(200) not null,
    created_at datetime(6) not null,
    constraint person_sign_in unique (sign_in),
    constraint person_nursery foreign key (nursery_id) references nursery (id)
);

create table sign_in_attempt (
    who varchar(120) not null primary key,
    failures integer not null,
    last_at datetime(6) not null
);

create table place (
    id uuid not null primary key,
    nursery_id uuid not null,
    name varchar(80) not null,
    climate varchar(20) not null,
    walk_order integer not null,
    constraint place_name unique (nursery_id, name),
    constraint place_nursery foreign key (nursery_id) references nursery (id)
);

create table plant (
    id uuid not null primary key,
    nursery_id uuid not null,
    name varchar(120) not null,
    plant_group varchar(40) not null,
    protection varchar(20) not null,
    constraint plant_name unique (nursery_id, name),
    constraint plant_nursery foreign key (nursery_id) references nursery (id)
);

create table stock_plant (
    id uuid not null primary key,
    nursery_id uuid not null,
    plant_id uuid not null,
    place_id uuid not null,
    code varchar(40) not null,
    origin varchar(300),
    pieces_now integer,
    state varchar(20) not null,
    quarantine_until date,
    note varchar(500),
    version bigint not null,
    constraint stock_plant_code unique (nursery_id, code),
    constraint stock_plant_nursery foreign key (nursery_id) references nursery (id),
    constraint stock_plant_plant foreign key (plant_id) references plant (id),
    constraint stock_plant_place foreign key (place_id) references place (id)
);

create table plan (
    id uuid not null primary key,
    nursery_id uuid not null,
    stock_plant_id uuid not null,
    protocol varchar(60) not null,
    protocol_version integer not null,
    young_plants integer not null,
    pieces_per_pot integer not null,
    due date not null,
    confidence double not null,
    start_on date not null,
    take integer not null,
    chance double not null,
    last_safe_start date,
    state varchar(20) not null,
    reason varchar(300),
    batch_code varchar(40),
    made_at datetime(6) not null,
    version bigint not null,
    constraint plan_nursery foreign key (nursery_id) references nursery (id),
    constraint plan_stock_plant foreign key (stock_plant_id) references stock_plant (id),
    index plan_state (nursery_id, state)
);

create table batch (
    id uuid not null primary key,
    nursery_id uuid not null,
    code varchar(20) not null,
    code_year integer not null,
    code_week integer not null,
    code_number integer not null,
    old_code varchar(80) collate utf8mb4_bin,
    plan_id uuid,
    plant_id uuid not null,
    plant_name varchar(120) not null,
    plant_group varchar(40) not null,
    stock_plant_id uuid,
    place_id uuid not null,
    protocol varchar(60),
    protocol_version integer,
    method varchar(60) not null,
    medium varchar(60) not null,
    treatment varchar(300) not null,
    instead varchar(300),
    taken_on date not null,
    taken integer not null,
    stuck_on date,
    stuck integer,
    tray_rows integer,
    tray_columns integer,
    vessel varchar(80),
    stock_state varchar(20),
    piece_kind varchar(60),
    length_mm integer,
    nodes integer,
    rooted_on_day0 boolean not null,
    pieces_per_pot integer not null,
    hunch integer,
    minutes integer,
    outlook longtext not null,
    slowing double not null,
    thinning double not null,
    first_sign integer not null,
    ready integer not null,
    lost integer not null,
    sent integer not null,
    lost_ready integer not null,
    moved integer not null,
    settled integer not null,
    last_look date,
    last_knowing_look date,
    earliest_ready date,
    firm_pending integer not null,
    closed_on date,
    changes integer not null,
    version bigint not null,
    constraint batch_code unique (nursery_id, code),
    constraint batch_old_code unique (nursery_id, old_code),
    constraint batch_nursery foreign key (nursery_id) references nursery (id),
    constraint batch_plant foreign key (plant_id) references plant (id),
    constraint batch_stock_plant foreign key (stock_plant_id) references stock_plant (id),
    constraint batch_place foreign key (place_id) references place (id),
    constraint batch_plan foreign key (plan_id) references plan (id),
    index batch_open (nursery_id, closed_on),
    index batch_week (nursery_id, code_year, code_week)
);

create table batch_check (
    id uuid not null primary key,
    nursery_id uuid not null,
    batch_id uuid not null,
    client_id uuid not null,
    entry integer not null,
    looked_on date not null,
    look varchar(10) not null,
    by_count boolean not null,
    first_sign integer,
    ready integer,
    lost integer,
    sent integer,
    young_plants integer,
    note varchar(500),
    person_name varchar(80) not null,
    made_at datetime(6) not null,
    withdrawn_at datetime(6),
    withdrawn_by varchar(80),
    constraint batch_check_once unique (nursery_id, client_id),
    constraint batch_check_nursery foreign key (nursery_id) references nursery (id),
    constraint batch_check_batch foreign key (batch_id) references batch (id),
    index batch_check_day (batch_id, looked_on)
);

create table reading (
    id uuid not null primary key,
    nursery_id uuid not null,
    check_id uuid not null,
    piece integer not null,
    look varchar(10) not null,
    state varchar(12) not null,
    cause varchar(12),
    root_mm integer,
    side_roots boolean,
    top_growth boolean,
    firmness varchar(12),
    note varchar(500),
    constraint reading_nursery foreign key (nursery_id) references nursery (id),
    constraint reading_check foreign key (check_id) references batch_check (id)
);

create table piece_fact (
    id uuid not null primary key,
    nursery_id uuid not null,
    batch_id uuid not null,
    piece integer not null,
    kind varchar(60),
    length_mm integer,
    nodes integer,
    constraint piece_fact_one unique (batch_id, piece),
    constraint piece_fact_nursery foreign key (nursery_id) references nursery (id),
    constraint piece_fact_batch foreign key (batch_id) references batch (id)
);

-- What analysis reads: per batch and milestone, (after, by, outcome) and how many pieces. Rebuildable from the readings.
create table tally (
    id uuid not null primary key,
    nursery_id uuid not null,
    batch_id uuid not null,
    milestone varchar(12) not null,
    after_day integer not null,
    by_day integer,
    outcome varchar(10) not null,
    pieces bigint not null,
    constraint tally_nursery foreign key (nursery_id) references nursery (id),
    constraint tally_batch foreign key (batch_id) references batch (id)
);

create table potting (
    id uuid not null primary key,
    nursery_id uuid not null,
    batch_id uuid not null,
    moved_on date not null,
    pieces integer not null,
    young_plants integer not null,
    settled integer,
    settled_on date,
    constraint potting_nursery foreign key (nursery_id) references nursery (id),
    constraint potting_batch foreign key (batch_id) references batch (id)
);

create table upload (
    id uuid not null primary key,
    nursery_id uuid not null,
    kind varchar(20) not null,
    name varchar(200) not null,
    content longtext not null,
    made_at datetime(6) not null,
    constraint upload_nursery foreign key (nursery_id) references nursery (id)
);

-- Spring Session's own tables, as its schema for MariaDB has them.
create table SPRING_SESSION (
    PRIMARY_ID char(36) not null,
    SESSION_ID char(36) not null,
    CREATION_TIME bigint not null,
    LAST_ACCESS_TIME bigint not null,
    MAX_INACTIVE_INTERVAL int not null,
    EXPIRY_TIME bigint not null,
    PRINCIPAL_NAME varchar(100),
    constraint SPRING_SESSION_PK primary key (PRIMARY_ID)
);
create unique index SPRING_SESSION_IX1 on SPRING_SESSION (SESSION_ID);
create index SPRING_SESSION_IX2 on SPRING_SESSION (EXPIRY_TIME);
create index SPRING_SESSION_IX3 on SPRING_SESSION (PRINCIPAL_NAME);
create table SPRING_SESSION_ATTRIBUTES (
    SESSION_PRIMARY_ID char(36) not null,
    ATTRIBUTE_NAME varchar(200) not null,
    ATTRIBUTE_BYTES blob not null,
    constraint SPRING_SESSION_ATTRIBUTES_PK primary key (SESSION_PRIMARY_ID, ATTRIBUTE_NAME),
    constraint SPRING_SESSION_ATTRIBUTES_FK foreign key (SESSION_PRIMARY_ID) references SPRING_SESSION (PRIMARY_ID) on delete cascade
);
