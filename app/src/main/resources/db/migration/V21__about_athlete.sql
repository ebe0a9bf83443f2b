-- What an athlete wants and brings along, filled in by the athlete or a coach who plans.
create table athlete_about (
    athlete_id bigint primary key references athlete on delete cascade,
    goals varchar(1000) not null default '',
    history varchar(1000) not null default '',
    injuries varchar(1000) not null default '',
    wishes varchar(1000) not null default '',
    changed_by varchar(100) not null,
    changed_at timestamptz not null
);
