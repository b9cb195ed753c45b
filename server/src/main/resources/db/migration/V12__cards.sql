-- By what a knife is found. Rows are worked out again by themselves.
delete from catalogue_row;
alter table catalogue_row add column card character large object not null;
