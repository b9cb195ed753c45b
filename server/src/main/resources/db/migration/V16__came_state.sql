-- States in which knives came with a parcel: by them it is known which side changed one since.
create table came_state (
    id varchar(101) primary key,
    knife_id varchar(36) not null,
    sha256 varchar(64) not null,
    came_at timestamp(9) with time zone not null
);
create index came_state_of_knife on came_state (knife_id);
