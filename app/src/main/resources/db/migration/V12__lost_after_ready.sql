-- Looks by count say how many were lost after they were ready, and of what.
alter table batch_check add column lost_ready integer;
alter table batch_check add column cause varchar(20);
-- Young plants lost in their pots: before anybody said that they had settled, and after.
alter table potting add column lost_unsettled integer not null default 0;
alter table potting add column lost_settled integer not null default 0;
alter table potting add column lost_cause varchar(20);
