-- How many days before or after the day stuck it may have been; 0 where the day is known.
alter table batch add column unsure_days integer not null default 0;
