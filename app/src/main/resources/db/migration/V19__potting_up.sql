-- What pieces were potted into, where they stand, and when they get their first water and feed.
alter table potting add column across_mm integer;
alter table potting add column per_pot integer;
alter table potting add column mix varchar(120);
alter table potting add column place_id uuid;
alter table potting add column water_on date;
alter table potting add column feed_on date;
alter table potting add column remark varchar(300);
alter table potting add constraint potting_place foreign key (place_id) references place (id);
