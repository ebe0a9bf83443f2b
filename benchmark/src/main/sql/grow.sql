-- Grows the demo to :athletes athletes with :years years behind each (beside those of its coach that have one season), by copying rows: summaries, curves, sessions and plans as
-- they are, moved back in time. Originals and channels are not copied (but for a few, below), so only lists, trends, curves and plans are of full size.
\set ON_ERROR_STOP on
-- Days that the demo reaches back.
create or replace function pg_temp.span() returns int language sql as 'select 745';

create or replace function pg_temp.copied(tab text, col text, dst bigint, shift int, off bigint) returns text language sql as $$
  select case
    when col = 'athlete_id' then dst::text
    when col = 'id' or col in ('recording_id', 'session_id') then quote_ident(col) || ' + ' || off
    when col in ('day', 'first_day', 'valid_from') then quote_ident(col) || ' - ' || shift
    when col in ('started_at', 'ended_at', 'done_at') then quote_ident(col) || ' - interval ''' || shift || ' days'''
    when col = 'sha256' then 'md5(sha256 || ' || off || ') || md5(' || off || ' || sha256)'
    else quote_ident(col) end
$$;

create or replace procedure pg_temp.copy_rows(tab text, src bigint, dst bigint, shift int, off bigint, keyed boolean) language plpgsql as $$
declare
  names text;
  exprs text;
  past text := '';
begin
  select string_agg(quote_ident(column_name), ', ' order by ordinal_position),
         string_agg(pg_temp.copied(tab, column_name, dst, shift, off), ', ' order by ordinal_position)
    into names, exprs
    from information_schema.columns
   where table_name = tab and table_schema = 'public' and (keyed or column_name <> 'id');
  -- of the demo's own span alone: what was copied before lies behind it
  if shift > 0 then past := format(' and day < current_date - 1 and day > current_date - %s', pg_temp.span()); end if;
  execute format('insert into %I (%s) %s select %s from %I where athlete_id = %s%s on conflict do nothing',
    tab, names, case when keyed then 'overriding system value' else '' end, exprs, tab, src, past);
end $$;

create or replace procedure pg_temp.grow(athletes int, years int) language plpgsql as $$
declare
  coach bigint := (select id from account where email = 'oda@pemblar.example');
  off bigint := 0;
  span constant int := pg_temp.span();
  src bigint;
  dst bigint;
  person bigint;
  tab text;
begin
  for n in 1 .. greatest(3, athletes) loop
    src := 1 + (n - 1) % 3;
    if n <= 3 then
      dst := src;
    else
      insert into account (email, name, password_hash, created_at)
        select 'grown' || n || '@pemblar.example', 'Grown ' || n, password_hash, created_at from account where id = coach returning id into person;
      insert into athlete (account_id, name, sports, sex, time_zone, acute_days, chronic_days, start_chronic)
        select person, 'Grown ' || n, sports, sex, time_zone, acute_days, chronic_days, start_chronic from athlete where id = src returning id into dst;
      insert into coaching (athlete_id, coach_account_id, plans, asked_at, accepted_at) values (dst, coach, true, now(), now());
      foreach tab in array array['dated_value', 'season', 'block', 'event', 'checkin', 'zone_set', 'marked_day', 'evidence'] loop
        if tab <> 'evidence' then call pg_temp.copy_rows(tab, src, dst, 0, 0, false); end if;
      end loop;
    end if;
    for back in 0 .. greatest(0, ceil(years * 365.0 / span)::int - 1) loop
      if n <= 3 and back = 0 then continue; end if;
      off := 10000000::bigint * (n * 10 + back);
      foreach tab in array array['recording', 'session', 'effort_curve', 'effort_after', 'aerobic_piece'] loop
        call pg_temp.copy_rows(tab, src, dst, span * back, off, tab in ('recording', 'session'));
      end loop;
    end loop;
    commit;
  end loop;
end $$;

-- What is copied keeps to the rules already; the days' loads are summed once for all below.
set session_replication_role = replica;
set enable_seqscan = off; -- what is known of the tables is of three athletes: each copy would read all that was copied before
call pg_temp.grow(:athletes, :years);
set session_replication_role = origin;
-- Channels of the last four months for the riders whose thresholds GroupLoad changes: copies of the first athlete's.
insert into recording_data
  select (jsonb_populate_record(d, jsonb_build_object('recording_id', r.id))).*
    from recording r join recording_data d on d.recording_id = r.id % 10000000
   where r.id / 100000000 between 4 and 91 and r.id / 100000000 % 3 = 1 and r.id / 10000000 % 10 = 0
     and r.day > current_date - 120;
truncate load_day;
insert into load_day select * from load_day_of_sessions;
vacuum analyze; -- as the server does by itself in a quiet hour
select 'athletes ' || count(*) from athlete;
select 'recordings ' || count(*) || ', sessions ' || (select count(*) from session) from recording;
