-- What tells this installation from another one at the same host: its cookies are called by it, on every node.
create table installation (
    one tinyint not null primary key default 1 check (one = 1),
    id uuid not null
);
insert into installation (id) values (uuid());
