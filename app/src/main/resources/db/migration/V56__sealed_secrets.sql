-- Secrets that must be read again are sealed by a key beside the database: the name of that key, null where they lie as
-- they are.
alter table second_factor add column sealed_by varchar(16);
alter table program_hook add column sealed_by varchar(16);
alter table program_hook alter column secret type bytea using convert_to(secret, 'UTF8');
