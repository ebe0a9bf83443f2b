-- A deleted recording that lent a channel to another one stays for it, also when the same file comes again.
alter table recording drop constraint recording_athlete_id_sha256_key;
create unique index recording_by_file on recording (athlete_id, sha256) where deleted_at is null;
create index recording_edit_by_other on recording_edit (other_recording_id) where other_recording_id is not null;
