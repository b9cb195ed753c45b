-- Rounds of practice: who guessed, at what, and what came of it.
create table practice_round (
    id varchar(36) primary key,
    content character large object not null,
    made_at timestamp(9) with time zone not null
);
