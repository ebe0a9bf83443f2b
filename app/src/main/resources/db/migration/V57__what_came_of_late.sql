-- What came of late, for coaches of many: without this each athlete's plans of the coming year are read to be passed over.
create index session_recorded on session (athlete_id, day) include (id)
    where recording_id is not null and deleted_at is null;
