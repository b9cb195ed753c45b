create table knife (
  id varchar(36) not null primary key,
  number integer not null unique,
  version bigint not null,
  specimen character large object not null,
  created_at timestamp(3) with time zone not null,
  updated_at timestamp(3) with time zone not null,
  deleted_at timestamp(3) with time zone
);

create sequence knife_number start with 1 increment by 1;
