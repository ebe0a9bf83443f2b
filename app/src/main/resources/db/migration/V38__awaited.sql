-- A page that a coach began for somebody who is still asked: an athlete without an account, until they come.
alter table invitation add column awaited_id bigint references athlete on delete set null;
create index invitation_by_awaited on invitation (awaited_id);
