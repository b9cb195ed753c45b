-- A photograph may be of a sale in the sales book instead of a knife.
alter table photo alter column knife_id set null;
alter table photo add column sale_id varchar(36) references sale (id);
alter table photo add constraint photo_is_of_one_thing check ((knife_id is null) <> (sale_id is null));
create index photo_by_sale on photo (sale_id, added_at);
