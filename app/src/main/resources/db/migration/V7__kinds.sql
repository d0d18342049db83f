-- What a grower means by "a fuchsia": null until somebody or the guide has said, empty where the guide does not know it.
alter table plant add column kind varchar(60);
alter table plant add column version bigint not null default 0;
alter table batch add column plant_kind varchar(60) not null default '';
alter table evidence_batch add column plant_kind varchar(60) not null default '';

-- Ways that a nursery does otherwise than the guide with a plant: struck off, or added though the guide calls them unusual.
create table plant_way (
    id uuid not null primary key,
    nursery_id uuid not null,
    plant_id uuid not null,
    method varchar(60) not null,
    struck boolean not null,
    word varchar(200) not null,
    person_name varchar(120) not null,
    said_at datetime(6) not null,
    constraint plant_way_once unique (plant_id, method),
    constraint plant_way_plant foreign key (plant_id) references plant (id),
    constraint plant_way_nursery foreign key (nursery_id) references nursery (id)
);

-- What a stock plant bears is counted by sort of piece, each with its own day and its own harvests. The empty sort is that of
-- plants of which nobody knows what they give.
create table stock_count (
    id uuid not null primary key,
    nursery_id uuid not null,
    stock_plant_id uuid not null,
    sort varchar(30) not null,
    pieces integer,
    counted_on date,
    last_cut_on date,
    last_cut integer,
    last_cut_hard boolean not null,
    cut_since_counted boolean not null,
    constraint stock_count_once unique (stock_plant_id, sort),
    constraint stock_count_plant foreign key (stock_plant_id) references stock_plant (id),
    constraint stock_count_nursery foreign key (nursery_id) references nursery (id)
);
insert into stock_count (id, nursery_id, stock_plant_id, sort, pieces, counted_on, last_cut_on, last_cut, last_cut_hard, cut_since_counted)
    select uuid(), nursery_id, id, '', pieces_now, counted_on, last_cut_on, last_cut, last_cut_hard, cut_since_counted
    from stock_plant where pieces_now is not null or last_cut_on is not null;
alter table stock_plant drop column pieces_now;
alter table stock_plant drop column counted_on;
alter table stock_plant drop column last_cut_on;
alter table stock_plant drop column last_cut;
alter table stock_plant drop column last_cut_hard;
alter table stock_plant drop column cut_since_counted;
alter table harvest add column sort varchar(30) not null default '';
