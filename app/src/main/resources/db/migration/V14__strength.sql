-- Strength: own exercises, dated maxima, links between them, workouts, and sets as they were lifted.
create table own_exercise (
    id bigint generated always as identity primary key,
    account_id bigint not null references account on delete cascade,
    name varchar(60) not null,
    movement varchar(12) not null,
    loaded varchar(16) not null,
    unique (account_id, name)
);

create table strength_maximum (
    id bigint generated always as identity primary key,
    athlete_id bigint not null references athlete on delete cascade,
    exercise varchar(60) not null,
    day date not null check (day between date '1990-01-01' and date '2100-01-01'),
    kilograms double precision not null check (kilograms > 0 and kilograms < 1000),
    said varchar(160) not null,
    session_id bigint references session on delete set null,
    entered_by varchar(100) not null,
    entered_at timestamptz not null
);
create index strength_maximum_by_exercise on strength_maximum (athlete_id, exercise, day);
create index strength_maximum_by_session on strength_maximum (session_id);

create table strength_link (
    athlete_id bigint not null references athlete on delete cascade,
    exercise varchar(60) not null,
    of_exercise varchar(60) not null,
    percent double precision not null check (percent > 0 and percent <= 300),
    reports_back boolean not null,
    primary key (athlete_id, exercise)
);

create table strength_workout (
    id bigint generated always as identity primary key,
    account_id bigint not null references account on delete cascade,
    title varchar(80) not null,
    body varchar(10000) not null,
    shared boolean not null default false,
    updated_at timestamptz not null
);
create index strength_workout_by_account on strength_workout (account_id);

alter table session add column strength varchar(10000);

create table strength_set (
    id bigint generated always as identity primary key,
    athlete_id bigint not null references athlete on delete cascade,
    session_id bigint not null references session on delete cascade,
    client_key varchar(40) not null,
    place int not null check (place between 0 and 1000),
    exercise varchar(60) not null,
    load_kilograms double precision not null check (load_kilograms >= 0 and load_kilograms < 1000),
    repetitions int not null check (repetitions between 0 and 1000),
    held_seconds int not null check (held_seconds between 0 and 3600),
    in_reserve int check (in_reserve between 0 and 10),
    test boolean not null,
    warm_up boolean not null default false,
    counts varchar(6) not null check (counts in ('NONE', 'BETTER', 'EVERY')),
    repetition_maximum int,
    prescribed double precision,
    note varchar(300) not null default '',
    entered_by varchar(100) not null,
    done_at timestamptz not null,
    unique (session_id, client_key)
);
create index strength_set_by_exercise on strength_set (athlete_id, exercise, done_at);

-- Plates and what is taken for the next session of an exercise are the athlete's.
alter table athlete add column load_step double precision not null default 2.5 check (load_step > 0 and load_step <= 20);
