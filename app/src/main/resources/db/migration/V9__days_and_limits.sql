-- An event may last several days, its load lies on them.
alter table event add column days integer not null default 1 check (days between 1 and 28);
