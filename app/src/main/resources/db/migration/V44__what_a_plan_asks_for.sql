-- What the young plants of a plan are to be by the day due: until now always potted and settled.
alter table plan add column by_then varchar(20) not null default 'SETTLED';
