-- Notes on a day, a block or the athlete as well as on a session; answers; what was edited or taken away leaves a trace.
alter table note alter column session_id drop not null;
alter table note add column about varchar(8) not null default 'SESSION'
    check (about in ('SESSION', 'DAY', 'BLOCK', 'ATHLETE'));
alter table note add column day date check (day between date '1970-01-01' and date '2200-01-01');
alter table note add column answers_id bigint references note on delete cascade;
alter table note add column edited_at timestamptz;
alter table note add column taken_away_at timestamptz;
alter table note add constraint note_is_about_something check (
    (about = 'SESSION') = (session_id is not null) and (about in ('DAY', 'BLOCK')) = (day is not null));
create index note_by_answered on note (answers_id) where answers_id is not null;
create index note_by_day on note (athlete_id, day) where day is not null;

-- Who has read which note; an unread one is one of somebody else's that is not here.
create table note_read (
    note_id bigint not null references note on delete cascade,
    account_id bigint not null references account on delete cascade,
    primary key (note_id, account_id)
);
create index note_read_by_account on note_read (account_id);
-- Notes written before this was kept count as read.
insert into note_read (note_id, account_id)
    select n.id, a.account_id from note n join athlete a on a.id = n.athlete_id where n.author_id <> a.account_id;
insert into note_read (note_id, account_id)
    select n.id, c.coach_account_id from note n join coaching c on c.athlete_id = n.athlete_id
    where n.author_id <> c.coach_account_id on conflict do nothing;
-- Whether a person wants one mail a day of what is new to them.
alter table account add column daily_mail boolean not null default true;
-- Up to which note a person was told by mail.
alter table account add column notes_mailed_id bigint not null default 0;
update account set notes_mailed_id = (select coalesce(max(id), 0) from note);
