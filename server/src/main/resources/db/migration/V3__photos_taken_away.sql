alter table photo add column taken_away_at timestamp(3) with time zone;
