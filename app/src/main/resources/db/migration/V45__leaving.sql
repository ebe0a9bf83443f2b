-- When an account ends with everything in it: fourteen days after its person asked for it; null while nobody did.
alter table account add column leaves_at timestamptz;
create index account_leaving on account (leaves_at) where leaves_at is not null;
