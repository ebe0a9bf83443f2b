-- Somebody else who rode or ran an event: their recordings are kept for an athlete, apart from the athlete's own. They
-- have no account; who sees and changes the athlete's pages sees and changes theirs.
alter table athlete add column kept_by bigint references athlete on delete cascade;
alter table athlete add constraint athlete_kept_without_account check (kept_by is null or account_id is null);
create index athlete_by_kept_by on athlete (kept_by) where kept_by is not null;
