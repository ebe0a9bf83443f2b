-- An athlete trains several sports, one of them first. What was called OTHER of an athlete meant riding and running together.
alter table athlete add column sports varchar(80);
update athlete set sports = case sport when 'OTHER' then 'RIDE,RUN' else sport end;
alter table athlete alter column sports set not null;
alter table athlete add check (sports ~ '^(RIDE|RUN|SWIM|ROW|SKI|WALK|STRENGTH|OTHER)(,(RIDE|RUN|SWIM|ROW|SKI|WALK|STRENGTH|OTHER))*$');
alter table athlete drop column sport;

-- The catalogue of sports has grown; the tables that name one follow it.
alter table recording drop constraint recording_sport_check;
alter table session drop constraint session_sport_check;
alter table effort_curve drop constraint effort_curve_sport_check;
alter table evidence drop constraint evidence_sport_check;
alter table zone_set drop constraint zone_set_sport_check;
alter table event drop constraint event_sport_check;
alter table recording add check (sport in ('RIDE', 'RUN', 'SWIM', 'ROW', 'SKI', 'WALK', 'STRENGTH', 'OTHER'));
alter table session add check (sport in ('RIDE', 'RUN', 'SWIM', 'ROW', 'SKI', 'WALK', 'STRENGTH', 'OTHER'));
alter table effort_curve add check (sport in ('RIDE', 'RUN', 'SWIM', 'ROW', 'SKI', 'WALK', 'STRENGTH', 'OTHER'));
alter table effort_after add check (sport in ('RIDE', 'RUN', 'SWIM', 'ROW', 'SKI', 'WALK', 'STRENGTH', 'OTHER'));
alter table aerobic_piece add check (sport in ('RIDE', 'RUN', 'SWIM', 'ROW', 'SKI', 'WALK', 'STRENGTH', 'OTHER'));
alter table evidence add check (sport in ('RIDE', 'RUN', 'SWIM', 'ROW', 'SKI', 'WALK', 'STRENGTH', 'OTHER'));
alter table zone_set add check (sport in ('RIDE', 'RUN', 'SWIM', 'ROW', 'SKI', 'WALK', 'STRENGTH', 'OTHER'));
alter table event add check (sport in ('RIDE', 'RUN', 'SWIM', 'ROW', 'SKI', 'WALK', 'STRENGTH', 'OTHER'));
alter table recomputation alter column sports type varchar(80);
alter table recomputation alter column sports set default 'RIDE,RUN,SWIM,ROW,SKI,WALK,STRENGTH,OTHER';
