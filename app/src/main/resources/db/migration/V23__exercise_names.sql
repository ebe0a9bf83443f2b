-- What a person calls an exercise in files that come from elsewhere: asked once, remembered.
create table exercise_alias (
    account_id bigint not null references account on delete cascade,
    name varchar(60) not null,
    exercise varchar(60) not null,
    primary key (account_id, name)
);
