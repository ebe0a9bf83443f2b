-- Links that reset a password or confirm another address: they serve once, for an hour, and only their hash is kept.
create table account_link (
    token_sha256 varchar(64) primary key,
    account_id bigint not null references account on delete cascade,
    email varchar(200),
    made_at timestamptz not null,
    used_at timestamptz
);
create index account_link_by_account on account_link (account_id);
comment on column account_link.email is 'the address to be confirmed; null for a new password';
