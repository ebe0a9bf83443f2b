-- Facts go to the table of whoever speaks of them, and what others join is published as a view by its owner.
create table strength_bar (
    athlete_id bigint primary key references athlete on delete cascade,
    bar_kilograms double precision not null check (bar_kilograms >= 0 and bar_kilograms <= 60),
    plate_kilograms double precision not null check (plate_kilograms > 0 and plate_kilograms <= 25),
    load_step double precision not null check (load_step > 0 and load_step <= 20)
);
insert into strength_bar select id, bar_kilograms, plate_kilograms, load_step from athlete
where (bar_kilograms, plate_kilograms, load_step) <> (20, 1.25, 2.5);
alter table athlete drop column bar_kilograms, drop column plate_kilograms, drop column load_step;

create table note_mailed (
    account_id bigint primary key references account on delete cascade,
    note_id bigint not null
);
insert into note_mailed select id, notes_mailed_id from account where notes_mailed_id > 0;
alter table account drop column notes_mailed_id;

create view person as select id, name, email from account;

create view athlete_known as select id, account_id, name, time_zone, zones_since from athlete;

-- Who coaches whom now, by account.
create view coached as select athlete_id, coach_account_id as account_id from coaching
where accepted_at is not null and ended_at is null;

-- Sessions as others name them: still a draft, still open; without what was deleted.
create view session_named as
select id, athlete_id, day, title, draft and recording_id is null as draft,
    recording_id is null and done_seconds is null as open
from session where deleted_at is null;
