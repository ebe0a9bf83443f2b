-- On days away there may be hours for one sport alone: running shoes go into every suitcase.
alter table season_exception add column only_sport varchar(20);
