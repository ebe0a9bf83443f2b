-- Steady stretches that the aerobic trend rests on; whether one lies within the heart-rate reserve is decided with the values of its day.
create table aerobic_piece (
    recording_id bigint not null references recording on delete cascade,
    place integer not null,
    athlete_id bigint not null references athlete on delete cascade,
    sport varchar(10) not null,
    day date not null,
    hours double precision not null,
    celsius double precision,
    bpm double precision not null,
    output double precision not null,
    primary key (recording_id, place)
);
create index aerobic_piece_by_day on aerobic_piece (athlete_id, sport, day);

-- Lowest critical powers for reserves of 4, 6 .. 40 kJ, of a recording that drove the reserve below zero.
alter table recording add column floor_watts double precision[];
