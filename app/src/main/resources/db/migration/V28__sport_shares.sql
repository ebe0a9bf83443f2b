-- How the time of a season is shared among sports, as RUN:40,SWIM:20 in percent; empty leaves all to the event's sport.
alter table season add column sport_shares varchar(100) not null default '';
