-- How much of an archive on its way in lies here: all of them together have so much room, and no more.
alter table archive_in add column bytes bigint not null default 0;
