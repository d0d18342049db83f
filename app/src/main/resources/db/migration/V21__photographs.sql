-- Photographs, and apart from what is listed of them their pictures, which are large.
create table photo (
    id uuid not null primary key,
    nursery_id uuid not null,
    kind varchar(20) not null,
    subject uuid not null,
    client_id uuid not null,
    taken_on date not null,
    width integer not null,
    height integer not null,
    note varchar(200),
    person_name varchar(120) not null,
    made_at datetime(6) not null,
    constraint photo_nursery foreign key (nursery_id) references nursery (id),
    constraint photo_once unique (nursery_id, client_id),
    index photo_of (nursery_id, kind, subject, taken_on)
);
create table photo_file (
    id uuid not null primary key,
    nursery_id uuid not null,
    photo_id uuid not null,
    large mediumblob not null,
    small mediumblob not null,
    constraint photo_file_nursery foreign key (nursery_id) references nursery (id),
    constraint photo_file_photo foreign key (photo_id) references photo (id),
    constraint photo_file_once unique (photo_id)
);
