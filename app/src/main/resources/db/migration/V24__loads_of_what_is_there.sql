-- What was deleted is left out by every sum of a day's load; as long as the indexes do not say so themselves, each row is fetched
-- to ask it. With that in them the sums are read from the indexes alone.
drop index session_loads;
create index session_loads on session (athlete_id, day)
    include (recording_id, planned_load, planned_seconds, done_load, done_seconds, draft) where deleted_at is null;
drop index recording_loads;
create index recording_loads on recording (athlete_id) include (id, load_points, timer_seconds) where deleted_at is null;
