-- Knives one looks for, with what one would pay.
create table want (
    id varchar(36) primary key,
    content character large object not null,
    made_at timestamp(9) with time zone not null
);
