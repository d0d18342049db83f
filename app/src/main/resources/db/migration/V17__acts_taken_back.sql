-- What a carrying, a sending away changed, so that it can be taken back.
alter table batch_stand add column from_place_id uuid;
alter table batch_stand add column ended_by uuid;
alter table batch_sent add column check_id uuid;
alter table batch_sent add column potting_id uuid;
alter table batch_sent add column of_settled boolean not null default false;
alter table batch_sent add column closed_move boolean not null default false;
-- What was written down last comes first among those of one day.
alter table batch_stand add column noted_at datetime(6) not null default current_timestamp(6);
alter table batch_sent add column noted_at datetime(6) not null default current_timestamp(6);
