-- Every writing of a curve gets a number of its own, as the days' loads do (V44): how many there are of some days and
-- what their numbers come to says whether the curve combined of them is still the one that was combined of late.
create sequence effort_curve_changed;
alter table effort_curve add column changed bigint not null default nextval('effort_curve_changed');

create function effort_curve_is_new() returns trigger language plpgsql as $$
begin
    new.changed := nextval('effort_curve_changed');
    return new;
end $$;
create trigger effort_curve_written before update on effort_curve for each row execute function effort_curve_is_new();

drop index effort_curve_by_day;
create index effort_curve_by_day on effort_curve (athlete_id, sport, measure, day) include (changed);
