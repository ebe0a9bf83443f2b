-- Which recorded sessions somebody has opened, and what a coach does not want to be told in the morning.
create table session_look (
    account_id bigint not null references account on delete cascade,
    session_id bigint not null references session on delete cascade,
    looked_at timestamptz not null,
    primary key (account_id, session_id)
);
create index session_look_by_session on session_look (session_id);

create table morning_topic_off (
    account_id bigint not null references account on delete cascade,
    topic varchar(12) not null,
    primary key (account_id, topic)
);
