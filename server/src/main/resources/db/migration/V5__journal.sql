create table journal_entry (
    id varchar(36) primary key,
    knife_id varchar(36) not null references knife (id),
    begun_at timestamp(3) with time zone not null,
    changed_at timestamp(3) with time zone not null,
    own boolean not null,
    specimen character large object not null,
    content character large object not null,
    removed_at timestamp(3) with time zone
);
create index journal_by_knife on journal_entry (knife_id, begun_at);
