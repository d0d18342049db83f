-- A second factor of a person: a secret that an authenticator shares, and the last step of time that was used.
create table second_factor (
    person_id uuid not null primary key,
    secret varchar(64) not null,
    on_since datetime(6),
    last_step bigint not null default 0,
    constraint second_factor_person foreign key (person_id) references person (id) on delete cascade
);
create table recovery_words (
    id uuid not null primary key,
    person_id uuid not null,
    hash varchar(200) not null,
    used_at datetime(6),
    constraint recovery_words_person foreign key (person_id) references person (id) on delete cascade
);
-- Browsers in which a person has signed in before: whoever guesses at their name elsewhere does not hold them up there.
create table known_browser (
    token_hash char(64) not null primary key,
    person_id uuid not null,
    name varchar(80) not null,
    made_at datetime(6) not null,
    last_at datetime(6) not null,
    constraint known_browser_person foreign key (person_id) references person (id) on delete cascade
);
-- Links by which a person sets a new password, once.
create table password_link (
    token_hash char(64) not null primary key,
    person_id uuid not null,
    made_by varchar(80) not null,
    clears_factor boolean not null,
    ends_at datetime(6) not null,
    used_at datetime(6),
    constraint password_link_person foreign key (person_id) references person (id) on delete cascade
);
-- Who came in, who did not, and what owners changed.
create table door_entry (
    id bigint not null auto_increment primary key,
    nursery_id uuid not null,
    at datetime(6) not null,
    what varchar(40) not null,
    person varchar(80) not null,
    about varchar(120) not null,
    browser varchar(80) not null,
    index door_entry_of (nursery_id, at),
    constraint door_entry_nursery foreign key (nursery_id) references nursery (id)
);
