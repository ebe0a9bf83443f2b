-- Events that are new or were moved of late: the plan answers to them.
create table event_news (
    athlete_id bigint not null references athlete on delete cascade,
    event_id bigint not null,
    moved_from date check (moved_from between date '1990-01-01' and date '2099-12-31'),
    since date not null,
    primary key (athlete_id, event_id)
);

-- A proposal can also be taken to the board, or be put before the athlete by a coach.
alter table proposal_answer drop constraint proposal_answer_answer_check;
alter table proposal_answer add constraint proposal_answer_answer_check
    check (answer in ('TAKEN', 'CARRIED', 'LEFT', 'ASKED', 'SUGGESTED'));

-- A question can be about an event on another day: first_day is the day it is on, last_day the other.
alter table what_if drop constraint what_if_kind_check;
alter table what_if add constraint what_if_kind_check check (kind in ('OFF', 'LESS', 'SHARE', 'EVENT'));
