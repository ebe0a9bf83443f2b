-- What was predicted on a day for a distance or a time, from what was known until then; kept as it was made.
create table predicted (
    athlete_id bigint not null references athlete (id) on delete cascade,
    sport varchar(10) not null,
    metres double precision not null default 0 check (metres >= 0),
    seconds integer not null default 0 check (seconds >= 0),
    day date not null check (day between '1990-01-01' and '2099-12-31'),
    value double precision not null check (value > 0),
    low double precision not null,
    high double precision not null,
    primary key (athlete_id, sport, metres, seconds, day),
    check (low <= value and value <= high),
    check ((metres > 0) <> (seconds > 0))
);
