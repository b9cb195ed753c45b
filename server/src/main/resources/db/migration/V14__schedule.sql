-- Schedules for insurers and estates, each as it was made: later sales and looks change nothing in it.
create table schedule (
    id varchar(36) primary key,
    content character large object not null,
    made_at timestamp(9) with time zone not null,
    removed_at timestamp(9) with time zone
);
