-- Files that are brought in: their lines, what was said of them, what was found, and what became of them.
drop table upload;
create table record_import (
    id uuid not null primary key,
    nursery_id uuid not null,
    kind varchar(20) not null,
    name varchar(200) not null,
    person_name varchar(120) not null,
    raw longblob,
    content longtext,
    choices longtext not null,
    findings longtext,
    state varchar(20) not null,
    problem varchar(600),
    percent integer not null default 0,
    kept integer not null default 0,
    made_at datetime(6) not null,
    changed_at datetime(6) not null,
    constraint record_import_nursery foreign key (nursery_id) references nursery (id),
    index record_import_made (nursery_id, made_at)
);
-- What a file made, so that it can be taken back.
create table imported (
    id uuid not null primary key,
    nursery_id uuid not null,
    import_id uuid not null,
    made varchar(20) not null,
    subject_id uuid not null,
    constraint imported_nursery foreign key (nursery_id) references nursery (id),
    constraint imported_import foreign key (import_id) references record_import (id),
    index imported_of (nursery_id, import_id)
);
-- The name in old records of a batch that was withdrawn; another may have it meanwhile.
alter table batch add column withdrawn_old_code varchar(80);
update batch set withdrawn_old_code = old_code, old_code = null where withdrawn_at is not null;
-- What words of files were said to mean, for the next file.
create table learned_word (
    id uuid not null primary key,
    nursery_id uuid not null,
    sort varchar(40) not null,
    typed varchar(200) collate utf8mb4_bin not null,
    means varchar(200) not null,
    constraint learned_word_nursery foreign key (nursery_id) references nursery (id),
    unique index learned_word_typed (nursery_id, sort, typed)
);
