-- How this collection judges condition: one row, in the open format; none where it judges as shipped.
create table grading (
    id int primary key check (id = 1),
    choice character large object not null
);
