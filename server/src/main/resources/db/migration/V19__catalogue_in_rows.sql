-- Rows of the catalogue are read all at once at every start: their texts lie in them, and not each apart. They are worked out
-- again by themselves.
drop table catalogue_row;
create table catalogue_row (
    knife_id varchar(36) primary key references knife (id) on delete cascade,
    version bigint not null,
    worked_by varchar(64) not null,
    entry varchar(1000000) not null,
    card varchar(1000000) not null
);
