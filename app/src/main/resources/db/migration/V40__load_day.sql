-- What each day holds, summed over its sessions as they are written, so that no page adds up all of time. Drafts lie in
-- a row of their own: who may not see them leaves it out.
create table load_day (
    athlete_id bigint not null references athlete on delete cascade,
    day date not null,
    draft boolean not null,
    planned_load double precision not null,
    done_load double precision not null,
    open_load double precision not null,
    planned_seconds bigint not null,
    done_seconds bigint not null,
    without_load bigint not null,
    lifted_done double precision not null,
    lifted_open double precision not null,
    lifted_planned_seconds bigint not null,
    primary key (athlete_id, day, draft)
);

create view load_day_of_sessions as
select s.athlete_id, s.day, s.draft,
    coalesce(sum(s.planned_load), 0) as planned_load,
    coalesce(sum(coalesce(r.load_points, s.done_load)), 0) as done_load,
    coalesce(sum(case when r.id is null and s.done_seconds is null then s.planned_load end), 0) as open_load,
    coalesce(sum(s.planned_seconds), 0)::bigint as planned_seconds,
    coalesce(sum(coalesce(r.timer_seconds, s.done_seconds)), 0)::bigint as done_seconds,
    count(*) filter (where r.id is not null and r.load_points is null) as without_load,
    coalesce(sum(coalesce(r.load_points, s.done_load)) filter (where s.sport = 'STRENGTH'), 0) as lifted_done,
    coalesce(sum(s.planned_load) filter (where s.sport = 'STRENGTH' and r.id is null and s.done_seconds is null), 0)
        as lifted_open,
    coalesce(sum(s.planned_seconds) filter (where s.sport = 'STRENGTH'), 0)::bigint as lifted_planned_seconds
from session s left join recording r on r.id = s.recording_id and r.deleted_at is null
where s.deleted_at is null
group by s.athlete_id, s.day, s.draft;

-- Each statement sees what others have committed by then, so the later of two writers counts what the earlier one wrote.
create function load_day_anew(whose bigint, which date) returns void language plpgsql as $$
begin
    delete from load_day where athlete_id = whose and day = which;
    insert into load_day select * from load_day_of_sessions v where v.athlete_id = whose and v.day = which
    on conflict (athlete_id, day, draft) do update set
        planned_load = excluded.planned_load, done_load = excluded.done_load, open_load = excluded.open_load,
        planned_seconds = excluded.planned_seconds, done_seconds = excluded.done_seconds,
        without_load = excluded.without_load, lifted_done = excluded.lifted_done,
        lifted_open = excluded.lifted_open, lifted_planned_seconds = excluded.lifted_planned_seconds;
end $$;

create function load_day_of_session() returns trigger language plpgsql as $$
begin
    if tg_op <> 'INSERT' then
        perform load_day_anew(old.athlete_id, old.day);
    end if;
    if tg_op <> 'DELETE' and (tg_op = 'INSERT' or (old.athlete_id, old.day) is distinct from (new.athlete_id, new.day)) then
        perform load_day_anew(new.athlete_id, new.day);
    end if;
    return null;
end $$;
create trigger load_day_made after insert or delete on session for each row execute function load_day_of_session();
create trigger load_day_changed after update on session for each row when (
    (old.athlete_id, old.day, old.draft, old.recording_id, old.planned_load, old.planned_seconds, old.done_load,
        old.done_seconds, old.sport, old.deleted_at)
    is distinct from
    (new.athlete_id, new.day, new.draft, new.recording_id, new.planned_load, new.planned_seconds, new.done_load,
        new.done_seconds, new.sport, new.deleted_at))
    execute function load_day_of_session();

create function load_day_of_recording() returns trigger language plpgsql as $$
begin
    perform load_day_anew(s.athlete_id, s.day) from session s where s.recording_id = old.id;
    return null;
end $$;
create trigger load_day_recorded after update on recording for each row when (
    (old.load_points, old.timer_seconds, old.deleted_at) is distinct from
    (new.load_points, new.timer_seconds, new.deleted_at))
    execute function load_day_of_recording();

insert into load_day select * from load_day_of_sessions;
