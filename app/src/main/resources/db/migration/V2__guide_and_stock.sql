-- The guide of a nursery's own, stages that wait to be seen, care, and the story of every stock plant.

alter table plant
    add licence varchar(120),
    add name_sure boolean not null default true,
    add confirm_when varchar(120),
    add flowers_once boolean not null default false;

alter table stock_plant
    add kind varchar(10) not null default 'PLANT',
    add supplier varchar(120),
    add arrived_on date,
    add inspection varchar(300),
    add counted_on date,
    add last_cut_on date,
    add last_cut integer,
    add last_cut_hard boolean not null default false,
    add cut_since_counted boolean not null default false,
    add rest_seen_on date,
    add from_batch_id uuid,
    add from_piece integer,
    add constraint stock_plant_from_batch foreign key (from_batch_id) references batch (id);

alter table batch
    add clock_on date,
    add from_batch_id uuid,
    add young_plants integer not null default 0,
    add constraint batch_from_batch foreign key (from_batch_id) references batch (id);
update batch set clock_on = stuck_on;
update batch b set young_plants = (select coalesce(sum(p.young_plants), 0) from potting p where p.batch_id = b.id);

-- What was said of a stage of a batch's protocol: done, or asked for and not yet to be seen.
create table batch_stage (
    id uuid not null primary key,
    nursery_id uuid not null,
    batch_id uuid not null,
    stage varchar(40) not null,
    said_on date not null,
    done boolean not null,
    person_name varchar(80) not null,
    made_at datetime(6) not null,
    constraint batch_stage_nursery foreign key (nursery_id) references nursery (id),
    constraint batch_stage_batch foreign key (batch_id) references batch (id)
);

-- Protocols as batches were stuck under them, and the nursery's own. A version is never changed.
create table protocol_version (
    id uuid not null primary key,
    nursery_id uuid not null,
    protocol_key varchar(60) not null,
    version integer not null,
    title varchar(120) not null,
    content longtext not null,
    own boolean not null,
    withdrawn boolean not null,
    based_on varchar(60),
    reason varchar(300),
    person_name varchar(80) not null,
    made_at datetime(6) not null,
    constraint protocol_version_once unique (nursery_id, protocol_key, version),
    constraint protocol_version_nursery foreign key (nursery_id) references nursery (id)
);

create table harvest (
    id uuid not null primary key,
    nursery_id uuid not null,
    stock_plant_id uuid not null,
    cut_on date not null,
    pieces integer not null,
    hard boolean not null,
    constraint harvest_nursery foreign key (nursery_id) references nursery (id),
    constraint harvest_stock_plant foreign key (stock_plant_id) references stock_plant (id)
);

create table stock_look (
    id uuid not null primary key,
    nursery_id uuid not null,
    stock_plant_id uuid not null,
    looked_on date not null,
    pieces integer,
    shoots integer,
    state varchar(20) not null,
    note varchar(500),
    person_name varchar(80) not null,
    constraint stock_look_nursery foreign key (nursery_id) references nursery (id),
    constraint stock_look_stock_plant foreign key (stock_plant_id) references stock_plant (id)
);

-- Care done, or due on a day, for a batch or a stock plant; whether it worked is asked for later and kept.
create table care (
    id uuid not null primary key,
    nursery_id uuid not null,
    subject varchar(10) not null,
    subject_id uuid not null,
    subject_code varchar(40) not null,
    place_id uuid not null,
    what varchar(300) not null,
    symptom varchar(40),
    cause varchar(120),
    due_on date,
    done_on date,
    ask_on date,
    outcome varchar(20),
    outcome_on date,
    course uuid,
    person_name varchar(80),
    made_at datetime(6) not null,
    constraint care_nursery foreign key (nursery_id) references nursery (id),
    index care_subject (subject_id),
    index care_due (nursery_id, done_on, due_on),
    index care_ask (nursery_id, outcome, ask_on)
);

-- What was counted before counts had a day is taken as counted on the day of this change.
update stock_plant set counted_on = current_date where pieces_now is not null;

-- Every question names the nursery and then the batch or the check: one index answers both, whatever the table's statistics say.
create index reading_of_check on reading (nursery_id, check_id);
create index tally_of_batch on tally (nursery_id, batch_id);
create index potting_of_batch on potting (nursery_id, batch_id);
create index batch_check_of_batch on batch_check (nursery_id, batch_id, looked_on);
