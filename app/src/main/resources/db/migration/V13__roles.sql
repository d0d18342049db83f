-- What a person may do in their nursery; who was there before is an owner. Somebody who has left signs in no more, and stays
-- in what they wrote down.
alter table person add column role varchar(10) not null default 'OWNER';
alter table person add column left_at datetime(6);
