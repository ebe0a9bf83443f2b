-- What counts as long, and how a return after illness or injury begins, are the person's own, too.
alter table adjust_limits add column long_minutes integer default 105 check (long_minutes between 30 and 1440);
alter table adjust_limits add column return_percent double precision not null default 50
    check (return_percent between 0 and 100);
alter table adjust_limits add column return_hard_percent double precision not null default 50
    check (return_hard_percent between 0 and 200);
