-- A what-if may ask about another threshold.
alter table what_if add column quantity varchar(40);
alter table what_if drop constraint what_if_kind_check;
alter table what_if add constraint what_if_kind_check
    check (kind in ('OFF', 'LESS', 'SHARE', 'EVENT') and quantity is null or kind = 'THRESHOLD' and quantity is not null);
