-- Strength workouts have folders and tags, own exercises a cue, a link and athletes who see them.
alter table strength_workout add column folder varchar(40) not null default '';
alter table strength_workout add column tags varchar(120) not null default '';
alter table own_exercise add column cue varchar(120) not null default '';
alter table own_exercise add column link varchar(200) not null default '';
alter table own_exercise add column shared boolean not null default false;
