-- What is probably wrong in a recording, found once when it is taken in or changed, so that pages that rest on it can say so.
alter table recording add column doubts integer not null default 0;
alter table recording add column doubt_words varchar(200) not null default '';
-- The load that would count if all that is proposed were mended; null when there is none.
alter table recording add column mended_load double precision;
alter table recording add column doubts_version integer not null default 0;
create index recording_doubted on recording (athlete_id, day) where doubts > 0;
create index recording_without_doubts on recording (id) where doubts_version = 0;
