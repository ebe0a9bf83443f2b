-- The bytes of a recording lie in its row, or as two objects of a store beside the database, known by their hashes.
alter table recording_data add column place varchar(10) not null default 'DATABASE';
alter table recording_data add column original_sha256 varchar(64);
alter table recording_data add column channels_sha256 varchar(64);
alter table recording_data alter column original drop not null;
alter table recording_data alter column channels drop not null;
alter table recording_data add constraint recording_data_is_somewhere check (
    place = 'DATABASE' and original is not null and channels is not null
    or place = 'OBJECTS' and original is null and channels is null
        and original_sha256 is not null and channels_sha256 is not null);
create index recording_data_by_place on recording_data (place, recording_id);

-- Objects that nothing names any more, until they are deleted.
create table object_going (
    recording_id bigint primary key,
    since timestamptz not null default now()
);

create function objects_go() returns trigger language plpgsql as $$
begin
    insert into object_going (recording_id) values (old.recording_id) on conflict do nothing;
    return null;
end $$;

create trigger recording_data_goes after delete on recording_data
    for each row when (old.place = 'OBJECTS') execute function objects_go();
