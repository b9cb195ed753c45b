-- The ledger: every state an entry was ever in, none of them changed or let go.
create table ledger_revision (
    id varchar(36) primary key,
    entry varchar(36) not null,
    revision integer not null,
    body character large object not null,
    is_struck boolean not null,
    made_at timestamp(9) with time zone not null,
    constraint ledger_revision_once unique (entry, revision)
);
