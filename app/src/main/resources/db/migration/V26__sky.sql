-- Where somebody trains, to a tenth of a degree, and the weather that was told of such squares.
create table athlete_place (
    athlete_id bigint primary key references athlete on delete cascade,
    name varchar(60) not null,
    latitude double precision not null check (latitude between -90 and 90),
    longitude double precision not null check (longitude between -180 and 180)
);
create index athlete_place_by_square on athlete_place (latitude, longitude);

create table sky_hour (
    latitude double precision not null,
    longitude double precision not null,
    at timestamptz not null,
    celsius double precision not null check (celsius between -70 and 70),
    rain_millimetres double precision not null check (rain_millimetres between 0 and 400),
    wind_metres_per_second double precision not null check (wind_metres_per_second between 0 and 120),
    ice boolean not null,
    told_at timestamptz not null,
    primary key (latitude, longitude, at)
);

-- Temperatures that no device recorded come from the sky, and say so.
alter table aerobic_piece add column sky boolean not null default false;
alter table recording add column sky_celsius double precision check (sky_celsius between -70 and 70);
