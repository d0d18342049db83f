-- Private addresses of a nursery's calendar. Only the hash of an address is kept: who reads the table cannot read the calendar.
create table calendar_feed (
    id uuid not null primary key,
    nursery_id uuid not null,
    token_hash char(64) not null,
    name varchar(80) not null,
    made_at datetime(6) not null,
    made_by varchar(80) not null,
    withdrawn_at datetime(6),
    constraint calendar_feed_token unique (token_hash),
    constraint calendar_feed_nursery foreign key (nursery_id) references nursery (id)
);
