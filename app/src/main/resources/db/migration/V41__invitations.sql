-- Somebody is asked to work in a nursery by the name they sign in with, or will. Whether anybody has that name is nobody's business before they accept.
create table invitation (
    id uuid not null primary key,
    nursery_id uuid not null,
    sign_in varchar(80) not null,
    name varchar(80) not null,
    role varchar(10) not null,
    -- Of a first password, good while nobody has the name.
    password varchar(200),
    token_hash varchar(64) unique,
    made_by varchar(80) not null,
    made_at datetime(6) not null,
    constraint invitation_nursery foreign key (nursery_id) references nursery (id),
    constraint invitation_once unique (nursery_id, sign_in),
    key invitation_of (sign_in)
);
