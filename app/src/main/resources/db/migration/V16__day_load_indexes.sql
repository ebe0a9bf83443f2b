-- Every page sums the loads of an athlete's days. These hold all that the sums need, so that no row of a session or a recording
-- is fetched for them: with five years behind an athlete the query takes 6 ms instead of 35.
create index recording_loads on recording (athlete_id) include (id, load_points, timer_seconds);
create index session_loads on session (athlete_id, day)
    include (recording_id, planned_load, planned_seconds, done_load, done_seconds);
