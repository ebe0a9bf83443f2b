-- What others read of a recording beside their own tables: its summary, without what was deleted. The recordings' own
-- table is written and read by the recordings alone; whoever joins, joins this.
create view recorded as
select id, athlete_id, sport, day, file_name, started_at, ended_at, timer_seconds, distance_metres, equivalent_watts,
    mean_bpm, mean_speed, flat_speed, intensity, lowest_reserve_joules, lowest_reserve_second, least_critical_watts,
    floor_watts, load_points, load_source, zones, silhouette, perceived_effort, targets_beaten, revision, doubts,
    doubt_words, mended_load
from recording where deleted_at is null;
