-- What a collector put on file, step by step, with the text of the own pack before and after it.
create table filed_step (
    id varchar(36) primary key,
    place integer not null,
    maker varchar(120) not null,
    mark varchar(400) not null,
    text_before character large object,
    text_after character large object not null,
    is_undone boolean not null,
    made_at timestamp(9) with time zone not null,
    constraint filed_step_once unique (place)
);
