-- What a step did to the collector's own pack, and to how many marks.
alter table filed_step add column what varchar(16) default 'put-on' not null;
alter table filed_step add column many integer default 1 not null;
