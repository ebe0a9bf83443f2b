-- Codes of an authenticator besides the password (RFC 6238), and the codes for the day on which it is lost.
create table second_factor (
    account_id bigint primary key references account (id) on delete cascade,
    secret bytea not null,
    made_at timestamptz not null,
    -- null while its first code has not been typed: until then it asks for nothing
    confirmed_at timestamptz,
    -- each code serves once: the step of the last one
    last_step bigint not null default 0
);
create table recovery_code (
    account_id bigint not null references account (id) on delete cascade,
    code_sha256 text not null,
    used_at timestamptz,
    primary key (account_id, code_sha256)
);
