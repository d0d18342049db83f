-- Plants owed to somebody or some occasion, what each promise draws on, and what places hold.
create table promise (
    id uuid not null primary key,
    nursery_id uuid not null,
    plant_id uuid not null,
    plant_name varchar(120) not null,
    who varchar(120) not null,
    plants integer not null,
    due date,
    confidence double not null,
    place_in_line integer not null,
    given integer not null,
    state varchar(20) not null,
    made_at datetime(6) not null,
    closed_on date,
    version bigint not null,
    constraint promise_nursery foreign key (nursery_id) references nursery (id),
    constraint promise_plant foreign key (plant_id) references plant (id),
    index promise_state (nursery_id, state)
);

create table claim (
    id uuid not null primary key,
    nursery_id uuid not null,
    promise_id uuid not null,
    plan_id uuid,
    batch_id uuid,
    plants integer not null,
    given integer not null,
    version bigint not null,
    constraint claim_nursery foreign key (nursery_id) references nursery (id),
    constraint claim_promise foreign key (promise_id) references promise (id),
    constraint claim_plan foreign key (plan_id) references plan (id),
    constraint claim_batch foreign key (batch_id) references batch (id),
    index claim_promise_line (nursery_id, promise_id)
);

-- Two plans that stand for one aim, split over two ways or two days.
alter table plan add column split_id uuid;

-- Trays that a place holds; null where nobody has measured.
alter table place add column trays double;

-- What is in the shed, in litres, pieces or grams, what a pack holds and costs, and a mix's own recipe.
create table shed_item (
    id uuid not null primary key,
    nursery_id uuid not null,
    name varchar(120) not null,
    amount double not null,
    pack double,
    price double,
    recipe varchar(300),
    version bigint not null,
    constraint shed_item_name unique (nursery_id, name),
    constraint shed_item_nursery foreign key (nursery_id) references nursery (id)
);
