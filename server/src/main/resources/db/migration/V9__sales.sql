-- The sales book of the collection: each sale in the open format.
create table sale (
    id varchar(36) primary key,
    sale character large object not null,
    batch varchar(36),
    added_at timestamp(9) with time zone not null,
    removed_at timestamp(9) with time zone
);
create index sale_batch on sale (batch);
