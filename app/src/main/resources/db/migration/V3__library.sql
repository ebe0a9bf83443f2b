alter table workout add column folder varchar(60) not null default '';
alter table workout add column tags varchar(200) not null default '';
-- Athletes who let this person coach them see a shared workout.
alter table workout add column shared boolean not null default false;
alter table workout add column archived boolean not null default false;
alter table workout add column version integer not null default 1;

-- Where a session's workout came from, so that it can be told to follow a newer version; workouts that ship have negative numbers.
alter table session add column workout_id bigint;
alter table session add column workout_version integer;
