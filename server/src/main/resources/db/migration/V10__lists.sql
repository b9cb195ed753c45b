-- Knives that came together with a list, so that they can be taken out together.
alter table knife add column batch varchar(36);
create index knife_batch on knife (batch);
