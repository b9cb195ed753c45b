create table pack (
  id varchar(64) not null primary key,
  yaml character large object,
  switched_on boolean not null,
  added_at timestamp(3) with time zone not null
);
