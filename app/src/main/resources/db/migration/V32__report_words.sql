-- What a coach or the athlete says of a range of days, on its report.
create table report_word (
    athlete_id bigint not null references athlete on delete cascade,
    from_day date not null check (from_day between date '1990-01-01' and date '2100-01-01'),
    to_day date not null check (to_day between date '1990-01-01' and date '2100-01-01'),
    body varchar(4000) not null,
    author varchar(100) not null,
    primary key (athlete_id, from_day, to_day)
);
