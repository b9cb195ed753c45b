-- Searches of the tray one comes back to, each by the name one gave it.
create table saved_search (
    id varchar(36) primary key,
    content character large object not null,
    made_at timestamp(9) with time zone not null
);
