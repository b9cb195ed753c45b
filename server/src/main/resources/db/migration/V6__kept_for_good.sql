-- Numbers cached in memory leap when the machine stops; one a knife is not much work.
alter sequence knife_number no cache;
-- What the bytes of an original were when it came; null for those that came before, until first looked at.
alter table photo add column sha256 varchar(64);
