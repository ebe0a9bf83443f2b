-- Stages of an event, and the sports that it is made of; a day may have several parts, one after another.
create table event_part (
    event_id bigint not null references event on delete cascade,
    athlete_id bigint not null references athlete on delete cascade,
    place integer not null check (place between 0 and 99),
    stage integer not null check (stage between 1 and 28),
    sport varchar(10) not null
        check (sport in ('RIDE', 'RUN', 'SWIM', 'ROW', 'SKI', 'WALK', 'STRENGTH', 'OTHER')),
    metres double precision check (metres > 0 and metres < 10000000),
    seconds integer check (seconds between 10 and 86400),
    load_points double precision check (load_points >= 0 and load_points <= 5000),
    primary key (event_id, place)
);
create index event_part_by_athlete on event_part (athlete_id);

-- Of which stage and which sport a demand is; 0 and null for the event as a whole.
alter table event_demand add column stage integer not null default 0 check (stage between 0 and 28);
alter table event_demand add column sport varchar(10)
    check (sport in ('RIDE', 'RUN', 'SWIM', 'ROW', 'SKI', 'WALK', 'STRENGTH', 'OTHER'));
