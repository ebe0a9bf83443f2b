-- Which fields of the check-in somebody wants to be asked, and at which local minute to be reminded of it by mail.
create table checkin_choice (
    athlete_id bigint primary key references athlete on delete cascade,
    asked varchar(200) not null,
    remind_minute integer check (remind_minute between 0 and 1439),
    reminded_on date
);
create index checkin_choice_to_remind on checkin_choice (reminded_on) where remind_minute is not null;
