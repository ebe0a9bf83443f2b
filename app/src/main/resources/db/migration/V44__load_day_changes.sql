-- Every writing of a day's sums gets a number of its own: how many there are and what their numbers come to says at a
-- glance whether anything of an athlete's days has changed, so that what rests on all of them is not read anew each time.
create sequence load_day_changed;
alter table load_day add column changed bigint not null default nextval('load_day_changed');
create index load_day_changes on load_day (athlete_id) include (draft, changed);

create or replace function load_day_anew(whose bigint, which date) returns void language plpgsql as $$
begin
    delete from load_day where athlete_id = whose and day = which;
    insert into load_day select * from load_day_of_sessions v where v.athlete_id = whose and v.day = which
    on conflict (athlete_id, day, draft) do update set
        planned_load = excluded.planned_load, done_load = excluded.done_load, open_load = excluded.open_load,
        planned_seconds = excluded.planned_seconds, done_seconds = excluded.done_seconds,
        without_load = excluded.without_load, lifted_done = excluded.lifted_done,
        lifted_open = excluded.lifted_open, lifted_planned_seconds = excluded.lifted_planned_seconds,
        changed = excluded.changed;
end $$;
