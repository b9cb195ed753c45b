create table photo (
    id varchar(36) primary key,
    knife_id varchar(36) not null references knife (id),
    role varchar(24) not null,
    file_name varchar(200) not null,
    type varchar(8) not null,
    width int not null,
    height int not null,
    size_bytes bigint not null,
    taken_at varchar(32),
    added_at timestamp(3) with time zone not null
);
create index photo_by_knife on photo (knife_id, added_at);
