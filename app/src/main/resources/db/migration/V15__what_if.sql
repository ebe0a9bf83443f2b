-- Questions to the plan that somebody keeps under a name for ten days.
create table what_if (
    id bigint generated always as identity primary key,
    athlete_id bigint not null references athlete on delete cascade,
    name varchar(60) not null,
    kind varchar(10) not null check (kind in ('OFF', 'LESS', 'SHARE')),
    first_day date not null check (first_day between date '1990-01-01' and date '2100-01-01'),
    last_day date not null check (last_day between date '1990-01-01' and date '2100-01-01'),
    amount double precision not null,
    kept_by varchar(100) not null,
    kept_until date not null
);
create index what_if_by_athlete on what_if (athlete_id, kept_until);
