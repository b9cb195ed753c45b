-- A few words on every knife, worked out from it: of no worth by itself, and made anew where it is missing or of another build.
create table catalogue_row (
    knife_id varchar(36) primary key references knife (id) on delete cascade,
    version bigint not null,
    worked_by varchar(64) not null,
    entry character large object not null
);
